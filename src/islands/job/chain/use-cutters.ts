import { cuttersExpected } from '../../../core/identify';
import { estimate, type LengthReading } from '../../../core/quantity';
import type { ReadingPath } from '../../../core/sheet';
import type { RibbonCutter, RibbonDamage } from '../../../ui/drawings/CutterRibbon';
import { choiceLabel, sentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob, useOfStore } from '../store/JobContext';
import type { Snapshot } from '../store/job-store';
import { cutterSlots, damageSlots, type CutterSlots, type Side } from './cutter-slots';
import * as texts from '#language/screens/job-chain';

/** Slots shown of a side before anything says how many there are. */
const FEW = 6;
const SIDES = ['left', 'right'] as const;

/** Both sides as they are typed and drawn. */
export interface CutterRow {
  readonly slots: Readonly<Record<Side, CutterSlots>>;
  readonly cutters: Readonly<Record<Side, readonly RibbonCutter[]>>;
  /** Cutters of a side, where the count or the sequence says so. */
  readonly expected: number | null;
}

const middle = (reading: LengthReading | undefined): number | null =>
  reading ? (estimate(reading)?.value ?? null) : null;

/** How many cutters each side should have: by the count, else by links and sequence. */
function useExpected(): number | null {
  const { appraisal, entered } = useJob();
  const { cutters, sequence } = entered.sheet.chain ?? {};
  const links = appraisal.identity.chain.driveLinks.value;
  if (cutters !== undefined) return Math.ceil(cutters / 2);
  return links !== null && sequence ? Math.ceil(Math.max(...cuttersExpected(links, sequence)) / 2) : null;
}

const bothSlots = (readings: Snapshot): CutterRow['slots'] => ({
  left: cutterSlots('left', readings),
  right: cutterSlots('right', readings),
});

/** Reads the cutters of both sides off what was typed. */
export function useCutters(): CutterRow {
  const { snapshot, entered } = useJob();
  const { show } = useFrame();
  const expected = useExpected();
  const chain = entered.sheet.chain ?? {};
  const typed = damageSlots(snapshot).there;
  // What is typed into goes on with the key; what is drawn belongs to the readings it was worked out from.
  const slots = bothSlots(useOfStore((readings) => readings));
  const drawn = bothSlots(snapshot);
  const isRefused = (path: ReadingPath) => entered.refused.some((each) => each.path === path);

  const side = (name: Side): readonly RibbonCutter[] => {
    const { paths } = drawn[name];
    const [list, after] =
      name === 'left' ? [chain.cuttersLeft, chain.after?.cuttersLeft] : [chain.cuttersRight, chain.after?.cuttersRight];
    const read = paths.filter((path) => !isRefused(path));
    const hurt = typed.filter((each) => each.side === name).map(({ cutter }) => cutter);
    const count = Math.max(expected ?? Math.max(FEW, paths.length + 1), paths.length, ...hurt);
    return Array.from({ length: count }, (_, i) => {
      const path = paths[i];
      const length = path ? middle(list?.[read.indexOf(path)]) : null;
      const damage = (chain.damage ?? []).filter((each) => each.side === name && each.cutter === i + 1);
      const setBack = damage.length === 0 ? null : Math.max(...damage.map((each) => middle(each.setBack) ?? 0));
      const kind: RibbonDamage = hurt.includes(i + 1) ? (damage[0]?.kind ?? 'chip') : null;
      const words = [
        `${sentence(name)} ${i + 1}`,
        length === null ? texts.notMeasured : show(length),
        ...(kind ? [choiceLabel('chain.damage.0.kind', kind)] : []),
        ...(setBack === null ? [] : [texts.setBack(show(setBack))]),
      ];
      return { length, setBack, kind, after: middle(after?.[i]), said: words.join(', ') };
    });
  };
  const [left, right] = SIDES.map(side);
  return { slots, cutters: { left: left!, right: right! }, expected };
}
