import { noticedDrift } from '../bar';
import { observedCheck, readingCheck, workCheck, type Check } from '../judge';
import type { Limits } from '../limits';
import { estimate, mm } from '../quantity';
import type { BenchSheet } from '../sheet';

/** The test cut as it was made, mm; null while its depth or its drift is missing. A cut to no side has none. */
export function measuredCut({
  proof,
}: BenchSheet): { readonly depth: number; readonly drift: number; readonly side: 'left' | 'right' | 'none' } | null {
  const depth = proof?.cut?.depth && estimate(proof.cut.depth)?.value;
  if (!depth || !proof?.cut) return null;
  const { drift, side } = proof.cut;
  if (side === 'none') return { depth, drift: 0, side };
  const off = drift && estimate(drift)?.value;
  if (off === undefined || (side === undefined && off > 0)) return null;
  return { depth, drift: off, side: side ?? 'none' };
}

/** The drift of the test cut against what somebody notices at its depth. */
function driftCheck(sheet: BenchSheet, limits: Limits): readonly Check[] {
  const { depth, drift, side } = sheet.proof?.cut ?? {};
  const deep = depth && estimate(depth)?.value;
  if (!deep || (!drift && side !== 'none')) return [];
  const limit = { ...limits['proof.drift'], value: noticedDrift(limits['proof.drift'].value, deep) };
  const head = { id: 'proof.drift', part: 'bar', condemns: false } as const;
  // What was measured counts, whatever side was named or none: “straight” takes no drift back.
  const value = drift ? estimate(drift) : { value: mm(0), u: 0 };
  return [value ? workCheck(head, value, limit) : readingCheck(head, drift!, limit, null)];
}

/**
 * What the proof found: idle, oil, drift, chips. Only what was looked at. It speaks of the saw as it goes out, and moves no
 * verdict.
 */
export function proofChecks(sheet: BenchSheet, limits: Limits): readonly Check[] {
  const { idle, oil, swarf } = sheet.proof ?? {};
  return [
    ...(idle
      ? [observedCheck({ id: 'proof.idle', part: 'driveSprocket' }, idle, { stands: 'ok', turns: 'fail' })]
      : []),
    ...(oil ? [observedCheck({ id: 'proof.oil', part: 'bar' }, oil, { flies: 'ok', none: 'fail' })] : []),
    ...driftCheck(sheet, limits),
    ...(swarf ? [observedCheck({ id: 'proof.swarf', part: 'chain' }, swarf, { chips: 'ok', dust: 'fail' })] : []),
  ];
}
