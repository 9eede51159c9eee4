import { describe, expect, it } from 'vitest';
import { asPlanned } from './as-planned';
import type { FitJudgement } from './rules';

const after = (judgement: FitJudgement, ...renewed: Parameters<typeof asPlanned>[1]) =>
  asPlanned([judgement], renewed)[0]!;

describe('the rules as a signed plan leaves them', () => {
  it('holds what the plan renews to nothing the old part did', () => {
    const worn = { rule: 'sprocket-takes-new-chain', holds: false, reason: { code: 'sprocket-worn' } } as const;
    expect(after(worn, 'driveSprocket')).toMatchObject({ holds: true, reason: { code: 'by-plan' } });
    expect(after(worn, 'chain')).toEqual(worn);
    const reason = { code: 'parts-condemned', parts: ['bar', 'chain'] } as const;
    const condemned = { rule: 'parts-may-go-back-on', holds: false, reason } as const;
    expect(after(condemned, 'chain')).toMatchObject({ holds: false, reason: { parts: ['bar'] } });
    expect(after(condemned, 'chain', 'bar').holds).toBe(true);
  });

  it('makes known of a new part alone what was not known', () => {
    const reason = { code: 'not-known', missing: ['chain.pitch', 'driveSprocket.pitch'] } as const;
    const pitch = { rule: 'chain-pitch-is-sprocket-pitch', holds: null, reason } as const;
    expect(after(pitch, 'chain')).toMatchObject({ holds: null, reason: { missing: ['driveSprocket.pitch'] } });
    expect(after(pitch, 'chain', 'driveSprocket').holds).toBe(true);
  });

  it('never says that a class suits whom nobody asked, nor that an oil hole agrees that nobody named', () => {
    const rule = 'kickback-not-stepped-up';
    const standard = { rule, holds: null, reason: { code: 'kickback-operator-unknown' } } as const;
    expect(after(standard, 'chain')).toEqual(standard);
    // Where the class itself is not known, a plan takes low-kickback chain, which suits everybody.
    const unknown = { rule, holds: null, reason: { code: 'kickback-unknown' } } as const;
    expect(after(unknown, 'chain').holds).toBe(true);
    expect(after(unknown, 'bar')).toEqual(unknown);
    const reason = { code: 'differ', first: 'O1', second: 'O2' } as const;
    expect(after({ rule: 'oil-hole-is-saw-oil-hole', holds: false, reason }, 'bar').holds).toBeNull();
  });
});
