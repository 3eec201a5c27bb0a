import type { Criterion, Figure, Sentence } from '@grey-keel/model';
import type { Requirements } from '../beams/requirements.ts';
import type { Place, ScorePart } from './rank.ts';

/** What a criterion asks, as one says what something is better in. */
const asked: Readonly<Record<Criterion, string>> = {
  reach: 'how deep it sees the fish',
  footprint: 'how much it covers',
  'bottom detail': 'the detail of the bottom',
  separation: 'telling echoes apart',
  'dead zone': 'how little hides on a slope',
  'blanking zone': 'how near its face it sees',
  speed: 'how fast it holds the bottom',
  fitting: 'how easily it goes in',
  power: 'what it draws',
};

/** Less than so many points of a hundred are no difference. */
const alike = 0.05;

const given = ({ figure }: ScorePart, { waterM }: Requirements): Sentence => {
  const water: Figure = { value: waterM, quantity: 'depth' };
  return figure.quantity === 'level' ? [figure, ' to spare at ', water] : [figure];
};

/** How far one is ahead of another in each criterion, the greatest lead first. */
const leads = (one: Place, other: Place) =>
  one.parts
    .flatMap((part) => {
      const against = other.parts.find(({ criterion }) => criterion === part.criterion);
      return against ? [{ part, against, by: part.adds - against.adds }] : [];
    })
    .sort((a, b) => b.by - a.by);

/**
 * Why an entry stands where it does, from the figures it was ranked by: the first against the next, any other against the
 * first. What decides most is named with both figures, and what the other does better.
 */
export const whyIt = (place: Place, other: Place | undefined, requirements: Requirements): Sentence => {
  if (!other) return ['The only one that fits.'];
  const ahead = place.score - other.score;
  const all = leads(place, other);
  const [most, least] = [all[0], all.at(-1)];
  if (!most || !least || Math.abs(ahead) < alike) return [`As good as ${other.name} for this boat.`];
  const told = ({ part, against }: typeof most): Sentence => [
    `${asked[part.criterion]}: `,
    ...given(part, requirements),
    ' against ',
    ...given(against, requirements),
  ];
  const points = `${Math.abs(ahead).toFixed(1)} points`;
  const [decides, redeems] = ahead > 0 ? [most, least] : [least, most];
  return [
    ahead > 0 ? `Ahead of ${other.name} by ${points}, most by ` : `Behind ${other.name} by ${points}, most by `,
    ...told(decides),
    '.',
    ...(decides.part.criterion === 'power'
      ? [' That compares power alone: twice the power is 3 dB, which the battery pays for.']
      : []),
    ...(redeems.by * ahead < 0 && Math.abs(redeems.by) > alike
      ? [ahead > 0 ? ' Less good in ' : ' Better in ', ...told(redeems), '.']
      : []),
  ];
};
