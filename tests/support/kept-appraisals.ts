import { readFileSync, writeFileSync } from 'node:fs';
import { gunzipSync, gzipSync } from 'node:zlib';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';
import { assessmentDocument } from '../../src/wording';

const FILE = new URL('../fixtures/appraisals.json.gz', import.meta.url);

/** A sheet and what was once said of it. */
export interface KeptAppraisal {
  readonly name: string;
  readonly sheet: WrittenBenchSheet;
  readonly document: unknown;
}

/** The assessment document of a sheet by the default limits, as JSON has it. */
export function documentOf(written: WrittenBenchSheet): unknown {
  const read = readSheet(written);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return JSON.parse(JSON.stringify(assessmentDocument(appraise(read.value, DEFAULT_RULES, null))));
}

export const keptAppraisals = (): readonly KeptAppraisal[] =>
  JSON.parse(gunzipSync(readFileSync(FILE)).toString('utf8')) as KeptAppraisal[];

export const keepAppraisals = (kept: readonly KeptAppraisal[]): void =>
  writeFileSync(FILE, gzipSync(JSON.stringify(kept), { level: 9 }));
