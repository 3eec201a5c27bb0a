import type { Stage } from '@grey-keel/model';

/** What is decided on a stage, in six lines, with the schools where practitioners disagree. */
export const stageHelp: Readonly<Partial<Record<Stage, readonly string[]>>> = {
  brief: [
    'Say what the boat is, where she works and what is sought: everything later is judged against it.',
    'Draught is the keel below the waterline as the boat floats; every depth is counted from it.',
    'Salt and temperature set the speed of sound and what absorption takes; the depths set what the sonar must reach.',
    'A station is a place from which a screen is read: measure from the eye to the glass.',
    'Ways of working tie it together: in each, some transducers are on, some pages show, some keys lead there.',
    'Choose only the ways she really uses; each asks for a page at every station.',
  ],
  beams: [
    'Look at the cones over your depth, drag the bottom; the advice ranks the catalogue for this boat and says why.',
    'School of the wide: the first transducer finds fish, so it should see much water.',
    'School of the narrow: the first transducer should tell what lies straight below, cleanly.',
    'Two cones together say where a mark is: in the wide one only it lies in the ring, which says how far to move.',
    'Frequency is a choice of its own: absorption, not the cone, is what limits depth. See the losses beside the cones.',
    'Sheets quote cones at -3 or at -10 dB; here every cone is drawn at -3 dB, whatever the sheet says.',
  ],
  fit: [
    'Drag each thing to where it is on the hull, or type it: forward of the transom, starboard of the centre, above the keel.',
    'What a place breaks is said as you drag: blades, wash, stirred water, a blocked view, iron near the compass.',
    'Marks are saved where the antenna is: the line from it to a transducer is how far each mark is off.',
    'School of the own battery: the picture does not dip when the engine starts. School of the shared one: less to charge.',
    'A fuse stands at the battery\u2019s post, over what the load draws and under what the wire bears; it stops no voltage.',
    'Engine off and propeller clear before anyone leans over the transom; makers and local codes come first.',
  ],
  sources: [
    'Switch everything on and wait: some units take minutes to appear. Look for faults only after that.',
    'Read the type from the tag on each cable and select just that: power and tuning hang on it.',
    'Name each source by where it is, which channel, what kind: station, socket and kind can then be told apart.',
    'Choose for each screen where depth, temperature, heading and position come from, and what stands in for them.',
    'A transducer inside the hull measures the bilge, not the water; one that looks ahead does not know the depth below.',
    'The same water and the same north on every screen; look once that port is drawn on port.',
  ],
  calibrate: [
    'Put right what the display calls depth, with a lead line in water you can trust.',
    'To the waterline: the display shows the depth of the water. To the keel: it shows the water under her.',
    'Take five pairs or more over the depths you work in; one that stands apart is named, never dropped in silence.',
    'Set the display to this water before trusting one offset: a wrong speed of sound grows with depth.',
    'The sign is said in words beside the figure: read it aloud before entering it. A wrong sign grounds the boat.',
    'When draught, water or the transducer changes, the result goes stale and the waterline rises past this stage.',
  ],
  pages: [
    'One page for each way of working at each station; the matrix shows the gaps.',
    'Side-scan lives by width, a sounder by height: see what each layout gives in metres a pixel.',
    'A number is read at the angle its digits fill: 16 minutes by day, half as much again by night.',
    'School of many numbers: everything at a glance. School of few: depth large, the rest a key away.',
    'Console wide and bow narrow, or both the same: the first spreads the work, the second never confuses.',
    'Moving a page moves its place in the list; on some displays keys hold on to the place.',
  ],
  keys: [
    'Give each key a short and, where the display has it, a long press.',
    'School of the short: what is done often goes on short presses, what is seldom done on long ones.',
    'School of the long: nothing frequent happens by a brush of the hand; each change takes a moment longer.',
    'Risky presses (start transmitting, hold position, standby) must not lie one slip from a frequent one.',
    'A key that starts transmitting does so on the trailer too, where transducers can burn out.',
    'On displays that bind to a place of the list, adding a page shifts what the later keys open.',
  ],
  handover: [
    'Print the card for the dash: cones, offsets, pages and keys as they are now.',
    'What is stale or missing is printed on it, so that nobody trusts a figure that no longer holds.',
    'The card goes out of date when a figure on it changes; the ladder says so.',
    'The bundle is the whole boat as one file: for another shop, or for a second boat of the same build.',
    'A copy of a boat takes over her gear, pages and keys, never what was measured on her.',
    'The makers\u2019 instructions, local codes and a look-out come before this card.',
  ],
};
