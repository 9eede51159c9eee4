import { BROUGHT, count, figure, goesWith, group, listOf, oneOf, recorded, someOf, words, yesNo } from '../reading';
import { actsDone } from './acts';
import { SPROCKET_KINDS } from './drive-sprocket';

/** The complaint as symptoms, in the order a counter hears them. */
export const SYMPTOMS = [
  'cuts-curved-left',
  'cuts-curved-right',
  'chain-comes-off',
  'runs-hot',
  'fine-dust',
  'needs-force',
  'eats-chains',
  'vibrates',
  'stalls',
  'will-not-oil',
  'will-not-take-up-tension',
] as const;

export const USES = ['bucking', 'limbing', 'milling', 'felling', 'rescue'] as const;

/** How the chain gets sharpened. */
export const SHARPENING = ['hand', 'guide', 'grinder', 'never'] as const;

const SIDES = ['A', 'B'] as const;

/** What the customer says. */
export const jobReadings = group(
  {
    reference: words(80, { idle: recorded }),
    symptoms: someOf(SYMPTOMS),
    use: oneOf(USES),
    operatorTrained: yesNo({ means: 'Decides the kickback class.' }),
    brought: someOf(BROUGHT),
    sharpening: oneOf(SHARPENING),
    filesOnBar: yesNo({
      means: 'Sharpens with the chain on the bar: filings fall into the groove and the oil port.',
      idle: recorded,
    }),
    carriesWrench: yesNo({ means: 'Takes the wrench along, to set the tension as it grows slack.', idle: recorded }),
    hoursPerWeek: figure(
      { from: 0, to: 100 },
      { means: 'Running hours of the saw in a usual week, chain turning.', idle: recorded },
    ),
    kickbackChoice: words(500, {
      means: 'Why standard chain was chosen although low-kickback chain fits the user: the recorded choice.',
      step: 'order',
    }),
    turnOver: oneOf(['never', 'sometimes', 'every-chain', 'every-sharpening']),
    complaint: words(2000, { means: "In the customer's words." }),
  },
  { step: 'take-in', minutes: 0.2 },
);

/** How a guard of the saw is found. */
export const GUARD = ['ok', 'damaged', 'missing'] as const;

/** Services that a log goes back. */
export const MOST_SERVICES = 12;

/**
 * What earlier services let foresee, by the check that judges it. Cutters are not among it: hands with a file take
 * them, and no hours.
 */
export const FORESEEN = ['bar.depth', 'bar.play', 'chain.elongation', 'sprocket.wear'] as const;
export type ForeseenId = (typeof FORESEEN)[number];

/** The saw that the parts come from, and what the shop knows of it. */
export const sawReadings = group(
  {
    label: words(120, { idle: recorded }),
    mount: words(40),
    oilHole: words(40),
    sprocketKind: oneOf(SPROCKET_KINDS, {
      means: 'Kind of drive sprocket that the saw takes.',
      step: 'sprocket',
      idle: goesWith('driveSprocket.type'),
    }),
    splines: count(
      { from: 2, to: 60 },
      { means: 'Splines that the saw’s hub has.', step: 'sprocket', idle: goesWith('driveSprocket.splines') },
    ),
    maxRpm: figure({ from: 1, to: 30000 }, { means: 'Revolutions per minute.', idle: goesWith('driveSprocket.teeth') }),
    turnLog: listOf(group({ came: oneOf(SIDES), went: oneOf(SIDES) }), MOST_SERVICES, {
      means: 'The edge that was down at each earlier service, as the bar came and as it went back; oldest first.',
      idle: goesWith('bar.edgeDown'),
    }),
    checks: group(
      {
        chainCatcher: oneOf(GUARD, {
          means: 'Catches a chain that comes off.',
          idle: goesWith('saw.checks.rearGuard'),
        }),
        rearGuard: oneOf(GUARD, {
          means: 'Shields the right hand behind the chain.',
          idle: goesWith('saw.checks.chainCatcher'),
        }),
      },
      { step: 'strip', minutes: 0.3 },
    ),
    sameBar: yesNo({
      means: 'False where another bar is on the saw now: then neither the log nor what was foreseen of it counts.',
      idle: ({ group: saw }) =>
        (saw as { foreseen?: unknown }).foreseen ? goesWith('saw.turnLog', 'saw.foreseen') : goesWith('saw.turnLog'),
    }),
    sameChain: yesNo({
      means: 'Whether it is the chain of the last service: only of that one what was foreseen counts.',
      idle: goesWith('saw.foreseen'),
    }),
    sameSprocket: yesNo({
      means: 'Whether it is the drive sprocket of the last service: only of that one what was foreseen counts.',
      idle: goesWith('saw.foreseen'),
    }),
    foreseen: listOf(
      group({
        of: oneOf(FORESEEN),
        value: figure({ from: 0, to: 1000 }, { means: 'As it is foreseen for the day of this job, mm or percent.' }),
        doubt: figure({ from: 0, to: 1000 }, { means: 'Its standard uncertainty, in the same unit.' }),
        edge: oneOf(SIDES, { means: 'Where it was worst: the edge.' }),
        at: figure({ from: 0, to: 2000 }, { means: 'Where it was worst: how far from the tail, mm.' }),
        seen: words(40, { means: 'Tag of the job that looked last.' }),
        on: words(40, { means: 'The day of that look, YYYY-MM-DD.' }),
      }),
      FORESEEN.length,
      {
        means: 'What earlier services let foresee of parts that come again, by their wear and the hours since.',
        idle: goesWith('saw.sameBar', 'saw.sameChain', 'saw.sameSprocket'),
      },
    ),
  },
  { step: 'take-in', minutes: 0.2 },
);

/** How tight the chain was as it came. */
export const TENSIONS = ['slack', 'right', 'tight'] as const;

/** Making safe and stripping, and what is seen of the saw before it is loosened. */
export const stripReadings = group(
  {
    done: actsDone('strip'),
    tension: oneOf(TENSIONS, {
      means: 'Tension of the chain as it came, before anything was loosened.',
      idle: goesWith('job.symptoms'),
    }),
  },
  { step: 'strip', minutes: 0.2 },
);
