export interface Term {
  readonly term: string;
  readonly means: string;
}

export interface TermGroup {
  readonly heading: string;
  readonly terms: readonly Term[];
}

/** What is called what, and what it means: found in the program by its name, and published as docs/glossary.md. */
export const glossary: readonly TermGroup[] = [
  {
    heading: 'The interface',
    terms: [
      { term: 'add, delete, duplicate', means: 'make one, take one away (with undo), make one like another' },
      { term: 'rename, export, import', means: 'as everywhere' },
      { term: 'save, saved 14:02', means: 'every change is saved by itself; the head strip says when last' },
      { term: 'undo, redo', means: 'one named step back, and forward again' },
      { term: 'collapse, show', means: 'a part of the page out of sight, and back' },
      { term: 'restore', means: 'a deleted boat back into the fleet; a backup back into its place' },
      { term: 'conflict', means: 'two windows changed the same field; one of the values is chosen' },
      { term: 'acknowledged', means: 'the server has a change safely on its disk and said so' },
      {
        term: 'finding',
        means: 'what the program has to say: a stop, a check or a note, with its reason and its number',
      },
      { term: 'fix', means: 'the field or the act that clears a finding' },
      {
        term: 'fresh, stale, missing',
        means: 'how a result stands: holds, rests on what has changed since, was never measured or printed',
      },
      { term: 'working', means: 'how a number came about, step by step' },
      { term: 'practice, drill', means: 'an exercise on this boat with a score' },
    ],
  },
  {
    heading: 'The boat and its job',
    terms: [
      {
        term: 'target species',
        means: 'the fish or thing that is looked for, its length and depths',
      },
      { term: 'working water, working depth', means: 'the water and the depth everything is computed for' },
      { term: 'way of working', means: 'running, searching, trolling ...: what is on the screens, who transmits' },
      { term: 'station', means: 'where a screen is read: a helm, a bow' },
      { term: 'draught, loading', means: 'hull below the waterline; the same when it is loaded deeper' },
      { term: 'requirements', means: 'what boat, water and target species ask of a transducer' },
      {
        term: 'advice, school',
        means: 'a ranking of transducers; a way of thinking about it that experienced people share',
      },
      { term: 'card', means: 'what stays aboard: one page of figures for the dash' },
      { term: 'bundle', means: 'one boat in one file, with the entries of the catalogue it uses' },
    ],
  },
  {
    heading: 'Sound',
    terms: [
      { term: 'beamwidth at -3 dB, cone', means: 'the full angle between the directions that send half the power' },
      { term: 'footprint', means: 'what the cone covers on the bottom' },
      { term: 'even cone', means: 'an element whose beamwidth stays the same over its band' },
      {
        term: 'detection range, beam range',
        means: 'as deep as a target still stands out of the noise; the same of a fitted beam',
      },
      { term: 'separation', means: 'the least distance of two echoes that are told apart, in depth' },
      {
        term: 'blanking zone, dead zone',
        means: 'hidden below the face while it rings; hidden on a slope by its upper edge',
      },
      { term: 'absorption, spreading', means: 'what the water takes of the sound; what is lost by its growing wide' },
      { term: 'source level, target strength', means: 'how loud a unit is at 1 m; how much of it a target sends back' },
      { term: 'signal over noise', means: 'how far an echo stands out, in dB' },
      { term: 'interference', means: "one unit's pulses seen by another" },
      { term: 'standby', means: 'a unit that is on and does not transmit' },
    ],
  },
  {
    heading: 'Calibrating',
    terms: [
      {
        term: 'procedure',
        means: 'one thing calibrated step by step: readings, result with its interval, entry, check afterwards',
      },
      { term: 'run, pair', means: 'one straight line held; one there and one back' },
      { term: 'left over', means: 'what a reading still differs by once the result is taken out; the residual' },
      {
        term: 'stands apart',
        means: 'of a reading: farther from the others than chance makes likely. It stays in until left out',
      },
      { term: 'swing, deviation card', means: 'headings steadied on all round; what is added to the compass on each' },
      { term: 'lag', means: 'how long an instrument takes to show 63 of 100 parts of a change' },
      {
        term: 'source, channel',
        means: 'a gateway, a port or the simulated boat; what one talker says of one quantity',
      },
      { term: 'recording', means: 'what instruments said over a time, from a log or live' },
      { term: 'simulated boat', means: "the program's own boat to practise on, with hidden errors" },
      { term: 'step', means: 'by how much two units draw one bottom at two depths' },
      { term: 'pointing', means: 'how far beside the bow a view ahead is drawn; what is added to it' },
      { term: 'immersion', means: 'how deep a face on a pole or a shaft hangs below the water' },
      {
        term: 'over the side',
        means: 'what a person aboard reads without an instrument: lead line, thermometer, eye, plumb line',
      },
      { term: 'practice copy', means: 'a copy of a boat for the simulated one; nothing on it holds for a real boat' },
    ],
  },
  {
    heading: 'Wiring and figures',
    terms: [
      { term: 'socket, plug', means: 'where a cable goes in; what is on its end' },
      {
        term: 'backbone, drop, terminator',
        means: 'the trunk of the data network; a branch of it; the resistor at each end',
      },
      { term: 'load equivalency number', means: 'what a device draws of the backbone, in units of 50 mA' },
      { term: 'cranking dip', means: 'how far the voltage falls while the engine starts' },
      { term: 'state of health', means: "what age has left of a battery's capacity" },
      {
        term: 'depth offset',
        means: 'what is added to what a sounder measures from its face, to the waterline or to the keel',
      },
      { term: 'lead line', means: 'the depth by a weight on a marked line, to compare with' },
      {
        term: 'tolerance, 95 % interval',
        means: 'what error is still good enough; where the true value lies in 19 of 20 such measurements',
      },
      { term: 'alarm sounds', means: 'at a figure that gives time to act' },
      { term: 'factor, set', means: 'true speed through the water for one displayed; where a current runs to' },
      { term: 'heading, course', means: 'where the boat points; where it goes over ground. They differ in a current' },
      {
        term: 'variation, deviation',
        means: 'between true and magnetic north, by place; between magnetic and compass, by heading. East is positive',
      },
      { term: 'swing', means: 'the boat turned all round to read its deviation on every heading' },
      {
        term: 'sentence, talker, checksum',
        means: 'a line of NMEA 0183; who sends it; what tells that it came through whole',
      },
    ],
  },
];
