import type { StartValues } from '../../core/chain';
import type { GaugeJudgement, Stretch } from '../../core/chain/checks';
import { plural } from './plural';
import { sideWord } from './labels';

const FILING: Record<StartValues['filing'], string> = {
  round: 'round file',
  square: 'square file',
  ground: 'diamond wheel',
};

type Show = (mm: number) => string;

/** Values to file a chain by, as rows: what, and how much. */
export function startValueRows(
  { filing, file, topPlate, sidePlate, tilt }: StartValues,
  setting: number | null,
  show: Show,
): readonly { readonly name: string; readonly value: string }[] {
  const tool = filing === 'round' ? (file === null ? 'waits for the pitch' : `${show(file)} round`) : FILING[filing];
  return [
    { name: 'File', value: tool },
    { name: 'Top plate', value: `${topPlate}°` },
    { name: 'Side plate', value: `${sidePlate}°` },
    { name: 'Tilt of the file', value: `${tilt}°` },
    { name: 'Depth gauges', value: setting === null ? 'wait for the pitch' : `${show(setting)} under the edge` },
  ];
}

/** What the depth gauges need once the cutters went back. */
export function gaugeSentence(
  { setting, afterCorrection, strokes, backToGauges }: GaugeJudgement,
  show: Show,
): string | null {
  if (backToGauges > 0 && strokes === 0)
    return `The lowest depth gauge cannot be raised: the cutters go back ${show(backToGauges)} until it stands right.`;
  if (strokes === 0) return null;
  const then =
    afterCorrection === null
      ? ''
      : ` Once the cutters are filed back the highest stands ${show(afterCorrection)} under the edge.`;
  return `Depth gauges last, down to ${show(setting)}.${then} About ${plural(strokes, { one: '# stroke', other: '# strokes' })} of the flat file on the highest; round its front again.`;
}

/**
 * Which gauges are filed and by how many strokes, and those that stand too low and never are; null where it is the same
 * as what was said of the highest.
 */
export function gaugesToFile({ each }: GaugeJudgement): string | null {
  const name = ({ side, cutter }: GaugeJudgement['each'][number]) => `${sideWord[side]} ${cutter}`;
  const filed = each.filter(({ strokes }) => strokes > 0);
  const low = each.filter(({ low: chance }) => chance > 0.5);
  const file =
    filed.length > 1 ? `To file: ${filed.map((gauge) => `${name(gauge)} (${gauge.strokes})`).join(', ')}.` : null;
  const never = low.length > 0 ? `Too low already, never filed: ${low.map(name).join(', ')}.` : null;
  return file || never ? [file, never].filter(Boolean).join(' ') : null;
}

/** Cautions of filing and grinding a chain. */
export const CHAIN_CAUTIONS: readonly string[] = [
  'Gloves on; the bar clamped and the brake set while filing on the saw. Eye protection at the grinder.',
  'Depth gauges lower than their setting make the chain grab and kick back: the maker’s setting wins.',
];

/** What push and pull tell beside the percentage. */
export function stretchSentences({ measured, fresh, bySpan, adjuster }: Stretch, show: Show): readonly string[] {
  return [
    ...(measured && fresh
      ? [
          `It showed ${fresh.percent.toFixed(2)} % when it was new and ${measured.percent.toFixed(2)} % now: the difference counts.`,
        ]
      : []),
    ...(bySpan ? [`By the pulled length of a joint it has grown ${bySpan.value.toFixed(2)} % since it was new.`] : []),
    ...(adjuster === null ? [] : [`The play takes ${show(adjuster)} of the tensioner’s travel.`]),
  ];
}

/** What a finding on the underside comes of, what it does, and what to do about it. */
export interface Tells {
  readonly cause: string;
  readonly effect: string;
  readonly act: string;
}

export const UNDERSIDE_FINDINGS = [
  'crack',
  'broken',
  'strapBurrs',
  'burredTangs',
  'tangWear',
  'tightJoints',
  'oilDimples',
  'heat',
  'resin',
  'derailed',
] as const;
export type UndersideFinding = (typeof UNDERSIDE_FINDINGS)[number];

export const undersideTells: Record<UndersideFinding, Tells> = {
  crack: {
    cause: 'Fatigue, or a hard stop.',
    effect: 'It parts while it runs.',
    act: 'The chain goes, whatever else is sound.',
  },
  broken: {
    cause: 'A rivet or strap that gave way.',
    effect: 'It whips off at full speed.',
    act: 'The chain goes; look at the chain catcher.',
  },
  strapBurrs: {
    cause: 'It ran slack, or blunt and pushed.',
    effect: 'Peened straps ride high and wear the rails.',
    act: 'Light: mind the tension and the edge. Burred: dress the straps.',
  },
  burredTangs: {
    cause: 'A chain that came off struck the sprocket.',
    effect: 'Forced back in, the burrs ream the groove.',
    act: 'File a few; many condemn. Check the groove.',
  },
  tangWear: {
    cause: 'The tangs ran on the floor of a shallow groove.',
    effect: 'Rounded tips rake no dirt out and wear the sprockets.',
    act: 'Measure the depth of the groove.',
  },
  tightJoints: {
    cause: 'A bruised rivet, resin, or rust.',
    effect: 'It knocks, and bends hard round nose and sprocket.',
    act: 'Soak and work it free; one that stays tight goes.',
  },
  oilDimples: {
    cause: 'The straps have worn down to the dimples.',
    effect: 'Little oil is carried round.',
    act: 'Watch the rails; think of a new chain.',
  },
  heat: {
    cause: 'Dry, blunt, or too tight.',
    effect: 'Steel that went blue is soft and wears fast.',
    act: 'Look for the reason: oil, edge, tension.',
  },
  resin: {
    cause: 'It ran hot.',
    effect: 'Baked resin stiffens the joints.',
    act: 'Soak it off, then look for the reason.',
  },
  derailed: {
    cause: 'Most often slack.',
    effect: 'Burrs on the tangs, a reamed groove, a struck catcher.',
    act: 'Look at groove, chain catcher and rear guard.',
  },
};
