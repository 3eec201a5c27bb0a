/** As most are: a figure goes into the display. */
export const onTheDisplay = {
  result: 'Enter on the display',
  enter: 'I have entered it on the display',
  done: 'Entered',
};
export const onTheCard = { result: 'For the card', enter: 'Put it on the card', done: 'On the card' };
export const inThePlan = { result: 'What was measured', enter: 'Take it for the round figures', done: 'Taken' };

export const overside = 'Engine off and propeller clear before anyone leans over the side. Life jackets on.';
export const underWay = 'Two people: one at the helm with an eye on the water, one reads and writes. Kill cord on.';
export const lookOut =
  'Keep a look-out during the runs: straight lines at a steady speed make other boats guess. Open water, no traffic.';
