/** The cautions of the trade, short as they stand at the place. The full text is in docs/cautions.md. */
export const cautions = {
  grounding:
    'A wrong sign grounds the boat. Check the depth once where you can see the bottom, then trust it. Loading, trim and speed change how deep the boat floats.',
  navigation: 'Sonar alone is no aid to navigation: keep a look-out and use the chart.',
  overboard:
    'Engine off and propeller clear before anyone leans over the transom. A second person aboard, life jackets on.',
  transmitting: 'Never transmit out of the water, or at swimmers and divers.',
  makers: "The makers' instructions and the local codes come before this tool.",
  hull: 'Haul out to drill. Seal a cored hull to its core; structural work is for a yard.',
} as const;

export const cardCautions: readonly string[] = [
  cautions.grounding,
  cautions.navigation,
  cautions.transmitting,
  cautions.makers,
];
