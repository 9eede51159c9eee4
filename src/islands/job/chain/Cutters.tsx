import { useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { DAMAGE_KINDS } from '../../../core/declared';
import { isWithin } from '../../../core/sheet';
import { CutterRibbon } from '../../../ui/drawings/CutterRibbon';
import { useFrame } from '../../frame/frame-context';
import { useKeys } from '../../frame/keys';
import { Field } from '../parts/Field';
import { useJob } from '../store/JobContext';
import { useTarget } from '../target';
import type { Side } from './cutter-slots';
import { CutterPanel } from './CutterPanel';
import { Correction } from './Correction';
import { useCutters, type CutterRow } from './use-cutters';
import { useDamage } from './use-damage';
import * as texts from '#language/screens/job-chain';

interface Chosen {
  readonly side: Side;
  readonly cutter: number;
}

/** Where the caret goes once another cutter is chosen. */
type Wants = 'length' | 'set-back' | 'ribbon' | null;

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left');

const isFull = ({ slots, expected }: CutterRow, side: Side): boolean =>
  expected !== null && slots[side].paths.length >= expected;

/** The first cutter of a side that has no length yet; the first of all where every one has. */
const firstEmpty = (row: CutterRow, side: Side): Chosen => ({
  side,
  cutter: isFull(row, side) ? 1 : row.slots[side].paths.length + 1,
});

/** The cutter to begin with: the first that has no length; where all have, the one that pulls all others back. */
function beginning(row: CutterRow, worst: Chosen | null): Chosen {
  if (!isFull(row, 'left')) return firstEmpty(row, 'left');
  return isFull(row, 'right') ? (worst ?? firstEmpty(row, 'left')) : firstEmpty(row, 'right');
}

/** The cutter after one, down its side and then down the other. */
function after(row: CutterRow, { side, cutter }: Chosen): Chosen {
  const { expected } = row;
  if (side === 'left' && expected !== null && cutter >= expected) return firstEmpty(row, 'right');
  return { side, cutter: cutter + 1 };
}

/** Which cutter is chosen, and the caret that follows it. */
function useChosen(row: CutterRow, worst: Chosen | null) {
  const [chosen, setChosen] = useState<Chosen>(() => beginning(row, worst));
  const [asked, setAsked] = useState(0);
  const wants = useRef<Wants>(null);
  useTarget((path) => {
    const side = isWithin(path, 'chain.cuttersRight') ? 'right' : 'left';
    const at = row.slots[side].paths.findIndex((each) => each === path);
    setChosen(at === -1 ? firstEmpty(row, side) : { side, cutter: at + 1 });
  });
  useEffect(() => {
    const { side, cutter } = chosen;
    if (wants.current === 'ribbon') document.querySelector<SVGElement>(`[data-cutter="${side} ${cutter}"]`)?.focus();
    else if (wants.current !== null)
      document.querySelector<HTMLInputElement>(`[data-cutter-field="${wants.current}"] input`)?.focus();
    wants.current = null;
  }, [chosen, asked]);
  const choose = useCallback((next: Chosen, caret: Wants) => {
    wants.current = caret;
    setChosen(next);
    setAsked((count) => count + 1);
  }, []);
  return [chosen, choose] as const;
}

const ARROWS: Readonly<Record<string, (at: Chosen) => Chosen>> = {
  ArrowLeft: ({ side, cutter }) => ({ side, cutter: Math.max(1, cutter - 1) }),
  ArrowRight: ({ side, cutter }) => ({ side, cutter: cutter + 1 }),
  ArrowUp: ({ cutter }) => ({ side: 'left', cutter }),
  ArrowDown: ({ cutter }) => ({ side: 'right', cutter }),
};

/** The letter that marks each kind of damage while the ribbon has the focus: its first. */
const kindOf = (key: string) => DAMAGE_KINDS.find((kind) => kind.startsWith(key));

/**
 * Cutters against the mark: the loop unrolled, one cutter chosen, its length and its damage typed. Number and Enter go
 * from cutter to cutter.
 */
export function Cutters() {
  const { appraisal } = useJob();
  const { show } = useFrame();
  const row = useCutters();
  const { afterFiling, correction, cutterLimit } = appraisal.chain;
  const [chosen, choose] = useChosen(row, correction);
  const damage = useDamage(chosen.side, chosen.cutter);
  const columns = Math.max(row.cutters.left.length, row.cutters.right.length);
  useKeys(
    useMemo(
      () => [
        { shown: ['['], does: texts.theLeftCutters, on: '[', act: () => choose(firstEmpty(row, 'left'), 'length') },
        { shown: [']'], does: texts.theRightCutters, on: ']', act: () => choose(firstEmpty(row, 'right'), 'length') },
        { shown: ['←', '→', '↑', '↓'], does: texts.onTheRibbonAnotherCutter },
        { shown: ['c', 'f', 'b', 'a'], does: texts.onTheRibbonChippedFlat },
        { shown: ['Delete'], does: texts.onTheRibbonNoDamage },
      ],
      [row, choose],
    ),
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const kind = kindOf(event.key);
    const moved = ARROWS[event.key]?.(chosen);
    if (moved) choose({ ...moved, cutter: Math.min(moved.cutter, columns) }, 'ribbon');
    else if (kind) {
      damage.mark(kind);
      choose(chosen, 'set-back');
    } else if (event.key === 'Delete') damage.clear();
    else if (event.key === 'Enter' || event.key === ' ') choose(chosen, 'length');
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div className="grid gap-2">
      <CutterRibbon
        left={row.cutters.left}
        right={row.cutters.right}
        mark={cutterLimit}
        target={afterFiling?.length ?? null}
        selected={chosen}
        onSelect={(side, cutter) => choose({ side, cutter }, 'length')}
        onKeyDown={onKeyDown}
        show={show}
      />
      <CutterPanel
        side={chosen.side}
        cutter={chosen.cutter}
        slots={row.slots[chosen.side]}
        damage={damage}
        onMarked={() => choose(chosen, 'set-back')}
        onNext={() => choose(after(row, chosen), 'length')}
        onOther={() => choose(firstEmpty(row, other(chosen.side)), 'length')}
      />
      <Correction />
      <div className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-8 gap-y-2 border-t border-line pt-2 max-md:grid-cols-1">
        <Field path="chain.witnessLimit" />
        <Field path="chain.checks.edge" />
      </div>
    </div>
  );
}
