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
      { term: 'collapse, show', means: 'hide a part of the page; show it again' },
      { term: 'restore', means: "bring a deleted boat back into the fleet; put a backup in the place of today's data" },
      { term: 'conflict', means: 'two windows changed the same field; you choose which value stays' },
      { term: 'acknowledged', means: 'the server has written a change to its disk and said so' },
      {
        term: 'finding',
        means: 'what the program points out: a stop, a check or a note, with its reason and its number',
      },
      { term: 'fix', means: 'the field or the action that clears a finding' },
      {
        term: 'fresh, stale, missing',
        means: 'the state of a result: valid; based on something that has changed since; never measured or printed',
      },
      { term: 'working', means: 'how a number was worked out, step by step' },
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
        means: 'the greatest depth at which a target still stands out of the noise; the same for a fitted beam',
      },
      { term: 'separation', means: 'the smallest difference in depth at which two echoes are told apart' },
      {
        term: 'blanking zone, dead zone',
        means: 'the water just below the face, hidden while it rings; the water over a slope, hidden by its upper edge',
      },
      {
        term: 'absorption, spreading',
        means: 'sound lost to the water itself; sound lost because the beam widens with distance',
      },
      {
        term: 'source level, target strength',
        means: 'how loud a unit is at 1 m; how much of the sound a target sends back',
      },
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
      { term: 'run, pair', means: 'one straight line at a steady heading; one out and one back' },
      {
        term: 'left over',
        means: 'the difference that remains at a reading once the result is taken out; the residual',
      },
      {
        term: 'stands apart',
        means: 'said of a reading farther from the others than chance makes likely; it counts until it is left out',
      },
      {
        term: 'swing, deviation card',
        means:
          'the boat turned all round and steadied on its headings; the table of what to add to the compass on each',
      },
      { term: 'lag', means: 'the time an instrument takes to show 63 % of a change' },
      {
        term: 'source, channel',
        means: 'a gateway, a port or the simulated boat; what one talker says of one quantity',
      },
      { term: 'recording', means: 'what instruments said over a time, from a log or live' },
      { term: 'simulated boat', means: "the program's own boat to practise on, with hidden errors" },
      { term: 'step', means: 'the difference between the depths two units show for one bottom' },
      { term: 'pointing', means: 'the angle by which a view ahead is drawn beside the bow, and the correction for it' },
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
      { term: 'state of health', means: "the share of a battery's capacity that age has left" },
      {
        term: 'depth offset',
        means: 'what is added to what a sounder measures from its face, to the waterline or to the keel',
      },
      { term: 'lead line', means: 'the depth by a weight on a marked line, to compare with' },
      {
        term: 'tolerance, 95 % interval',
        means: 'the error that is still good enough; the range that holds the true value in 19 of 20 such measurements',
      },
      { term: 'alarm sounds', means: 'at a figure that gives time to act' },
      {
        term: 'factor, set',
        means:
          'what a displayed speed is multiplied by to give the true speed through the water; the direction a current runs to',
      },
      { term: 'heading, course', means: 'where the boat points; where it goes over ground. They differ in a current' },
      {
        term: 'variation, deviation',
        means:
          'the angle from true to magnetic north, by place; from magnetic to compass north, by heading. East is positive',
      },
      {
        term: 'sentence, talker, checksum',
        means: 'a line of NMEA 0183; who sends it; what tells that it came through whole',
      },
    ],
  },
];
