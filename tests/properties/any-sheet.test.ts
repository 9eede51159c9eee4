import { NOT_SIGNED } from '../support/course';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { stepStates } from '../../src/core/workflow';
import { assessmentSchema } from '../../src/core/report';
import { entriesFromSheet, readSheet, sheetFromEntries, type WrittenBenchSheet } from '../../src/core/sheet';
import {
  assessmentDocument,
  dressingSentence,
  fitReason,
  identityReason,
  nextSentence,
  verdictHeadline,
  verdictReason,
} from '../../src/wording';
import { anySheet, mirrored } from '../support/sheets';

const RUNS = { seed: 1959, numRuns: 60 };

function assessed(written: WrittenBenchSheet) {
  const read = readSheet(written);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return { sheet: read.value, appraisal: appraise(read.value, DEFAULT_RULES, null) };
}

describe('any half-finished sheet', () => {
  it('is assessed into a document that its schema accepts', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        assessmentSchema.parse(JSON.parse(JSON.stringify(assessmentDocument(assessed(written).appraisal))));
      }),
      RUNS,
    );
  });

  it('gets whole sentences in both units', () => {
    fc.assert(
      fc.property(anySheet, fc.constantFrom('mm' as const, 'in' as const), (written, unit) => {
        const { appraisal } = assessed(written);
        const { chain, bar, driveSprocket } = appraisal.identity;
        const sentences = [
          ...Object.values(appraisal.verdicts).flatMap((verdict) => [
            verdictHeadline(verdict),
            ...verdict.reasons.map((reason) => verdictReason(reason, unit)),
          ]),
          ...[
            chain.pitch,
            chain.gauge,
            chain.driveLinks,
            bar.pitch,
            bar.gauge,
            bar.driveLinks,
            driveSprocket.pitch,
          ].flatMap(({ why }) => why.map((reason) => identityReason(reason, unit))),
          ...appraisal.fit.map(fitReason),
          ...appraisal.next.map((next) => nextSentence(next, unit)),
          ...(['A', 'B'] as const).flatMap((edge) => {
            const { dressing } = appraisal.bar.edges[edge];
            return dressing ? [dressingSentence(edge, dressing, () => 100, unit)] : [];
          }),
        ];
        for (const sentence of sentences) {
          expect(sentence).not.toMatch(/undefined|NaN|null|\[object|Infinity/);
          expect(sentence.length).toBeGreaterThan(3);
        }
      }),
      RUNS,
    );
  });

  it('never condemns without a measured or observed reason', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        for (const { action, decidedBy, reasons } of Object.values(assessed(written).appraisal.verdicts)) {
          if (action !== 'replace') continue;
          expect(decidedBy?.outcome).toBe('fail');
          expect(decidedBy?.condemns).toBe(true);
          expect(decidedBy?.value ?? decidedBy?.observed).not.toBeNull();
          expect(reasons[0]).toMatchObject({ code: 'check', check: decidedBy });
        }
      }),
      RUNS,
    );
  });

  it('never calls a part good while a condemning limit is too close to call or something required is missing', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        const { appraisal } = assessed(written);
        for (const { part, action, reasons } of Object.values(appraisal.verdicts)) {
          if (action === 'undecided' || action === 'replace') continue;
          expect(
            appraisal.checks.some((check) => check.part === part && check.condemns && check.outcome === 'undecided'),
          ).toBe(false);
          expect(reasons.some(({ code }) => code === 'missing')).toBe(false);
        }
      }),
      RUNS,
    );
  });

  it('orders only three settled numbers of parts that do not clash', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        const { order, identity, fit } = assessed(written).appraisal;
        if (!('order' in order)) {
          expect(order.withheld.length).toBeGreaterThan(0);
          return;
        }
        expect(identity.chain.driveLinks).toMatchObject({ status: 'settled', value: order.order.driveLinks });
        expect(fit.find(({ rule }) => rule === 'chain-gauge-is-bar-gauge')?.holds).not.toBe(false);
        if (written.chain?.kickbackClass === 'low-kickback') expect(order.order.kickbackClass).toBe('low-kickback');
      }),
      RUNS,
    );
  });

  it('has the same verdicts seen in a mirror', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        const actions = (of: WrittenBenchSheet) =>
          Object.values(assessed(of).appraisal.verdicts).map(({ action, operations }) => [action, operations]);
        expect(actions(mirrored(written))).toEqual(actions(written));
      }),
      RUNS,
    );
  });

  it('is the same stored as entries', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        const { sheet, refused } = sheetFromEntries(entriesFromSheet(written));
        expect(refused).toEqual([]);
        expect(Object.values(appraise(sheet, DEFAULT_RULES, null).verdicts).map(({ action }) => action)).toEqual(
          Object.values(assessed(written).appraisal.verdicts).map(({ action }) => action),
        );
      }),
      { ...RUNS, numRuns: 30 },
    );
  });

  it('leaves no step without a state, and asks for nothing twice', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        const { sheet, appraisal } = assessed(written);
        const states = stepStates(sheet, appraisal, NOT_SIGNED);
        expect(new Set(states.map(({ step }) => step)).size).toBe(states.length);
        expect(new Set(appraisal.next.map(({ measure }) => measure)).size).toBe(appraisal.next.length);
        for (const { gain, minutes } of appraisal.next) {
          expect(gain).toBeGreaterThan(0);
          expect(minutes).toBeGreaterThan(0);
        }
      }),
      RUNS,
    );
  });
});
