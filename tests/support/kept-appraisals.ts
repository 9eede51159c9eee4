import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { gunzipSync, gzipSync } from 'node:zlib';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { asItCame, handOver } from '../../src/core/handover';
import { planSet, type Plan } from '../../src/core/plan';
import { PARTS } from '../../src/core/reading';
import { readSheet, type BenchSheet, type WrittenBenchSheet } from '../../src/core/sheet';
import { stepStates } from '../../src/core/workflow';
import { DEMO_STOCK } from '../../src/data/demo';
import { assessmentDocument, handOverDocument, plansDocument } from '../../src/wording';

const FILE = new URL('../fixtures/appraisals.json.gz', import.meta.url);

/** A sheet and what was once said of it. */
export interface KeptAppraisal {
  readonly name: string;
  readonly sheet: WrittenBenchSheet;
  readonly document: unknown;
  /** Names all that was said of it beside its document, so that a change is seen, if not told. */
  readonly beside: Readonly<Record<'planned' | 'rounded', string>>;
}

/** The assessment document of a sheet by the default limits, as JSON has it. */
export const documentOf = (written: WrittenBenchSheet): unknown =>
  JSON.parse(JSON.stringify(assessmentDocument(appraise(sheetOf(written), DEFAULT_RULES, null))));

function sheetOf(written: WrittenBenchSheet): BenchSheet {
  const read = readSheet(written);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
}

/** A sheet as it is with one of its plans signed: what it comes to, its steps, and its hand-over. */
function withPlan(written: WrittenBenchSheet, sheet: BenchSheet, { choices, picks }: Pick<Plan, 'choices' | 'picks'>) {
  const appraisal = appraise(sheet, DEFAULT_RULES, choices);
  const { fitPlanned, next, refit, renewed, proof, advice } = appraisal;
  const fitted = PARTS.filter((part) => choices[part] === 'replace' && picks[part]);
  const handed = handOver({
    judged: { sheet, ...appraisal },
    before: appraise(asItCame(sheet), DEFAULT_RULES, null),
    choices,
    // Some of what goes on was not there.
    fitted: fitted.slice(0, 2),
    newChain: picks.chain ?? null,
    limits: DEFAULT_RULES.limits,
    schools: DEFAULT_RULES.schools,
  });
  return {
    ...{ fitPlanned, next, refit, renewed, proof, advice },
    steps: stepStates(sheet, appraisal, { signedOff: true, handedOver: false, choices }),
    handOver: handOverDocument(HEAD, handed, Object.values(picks), written),
  };
}

const HEAD = {
  ...{ on: '2026-11-26', by: 'Ines', shop: '', reference: '', customer: '', saw: null, complaint: '', note: '' },
  ...{ open: [], price: null },
};

/** All that is said of a sheet once there is a plan: every plan that makes sense, and what the first and last lead to. */
function saidWithPlans(written: WrittenBenchSheet): unknown {
  const sheet = sheetOf(written);
  const appraisal = appraise(sheet, DEFAULT_RULES, null);
  const { limits } = DEFAULT_RULES;
  const set = planSet({ judged: { sheet, ...appraisal }, limits, stock: DEMO_STOCK, toOrder: true });
  const { plans } = set;
  return [
    plansDocument(set),
    stepStates(sheet, appraisal, { signedOff: false, handedOver: false, choices: null }),
    [...new Set([plans[0], plans.at(-1)])].flatMap((plan) => (plan ? [withPlan(written, sheet, plan)] : [])),
  ];
}

/** How far lengths are rounded, mm: from each length on to this step. Many limits are then met exactly. */
const STEPS = [
  [10, 1],
  [1, 0.5],
  [0, 0.1],
] as const;

/** The same sheet as an eye might read it, in round figures. */
function rounded<T>(value: T): T {
  const text = JSON.stringify(value).replace(/"([\d.]+) mm"/g, (_, digits: string) => {
    const step = STEPS.find(([from]) => Number(digits) >= from)![1];
    return `"${(Math.round(Number(digits) / step) * step).toFixed(1)} mm"`;
  });
  return JSON.parse(text) as T;
}

const named = (said: unknown): string => createHash('sha256').update(JSON.stringify(said)).digest('base64url');

/** The names of all that is said of a sheet beside its document. */
export const besideOf = (sheet: WrittenBenchSheet): KeptAppraisal['beside'] => ({
  planned: named(saidWithPlans(sheet)),
  rounded: named([documentOf(rounded(sheet)), saidWithPlans(rounded(sheet))]),
});

export const keptAppraisals = (): readonly KeptAppraisal[] =>
  JSON.parse(gunzipSync(readFileSync(FILE)).toString('utf8')) as KeptAppraisal[];

export const keepAppraisals = (kept: readonly KeptAppraisal[]): void =>
  writeFileSync(FILE, gzipSync(JSON.stringify(kept), { level: 9 }));
