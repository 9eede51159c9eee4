import { figuresOf, studiesThatCount, type Study } from '../hand';
import { pooledScatter, type LengthReading, type MeasuredReading } from '../quantity';
import type { BenchSheet } from './bench-sheet';

const isMeasured = (value: object): value is MeasuredReading => 'kind' in value && value.kind === 'measured';
const isReading = (value: object): value is LengthReading => isMeasured(value) || ('kind' in value && 'lo' in value);

/** Gathers the measured lengths of a sheet, wherever they stand. */
function gather(value: unknown, into: MeasuredReading[]): void {
  if (typeof value !== 'object' || value === null) return;
  if (Array.isArray(value)) for (const each of value) gather(each, into);
  else if (!isReading(value)) for (const key in value) gather((value as Record<string, unknown>)[key], into);
  else if (isMeasured(value)) into.push(value);
}

function mapped(value: unknown, change: (reading: MeasuredReading) => MeasuredReading): unknown {
  if (typeof value !== 'object' || value === null) return value;
  if (isReading(value)) return isMeasured(value) ? change(value) : value;
  if (Array.isArray(value)) return value.map((each) => mapped(each, change));
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, mapped(each, change)]));
}

/**
 * The reading with what a study of its hand found. Placed otherwise than usual it scatters otherwise, and only the
 * tool's bias is taken off.
 */
export function withStudy(reading: MeasuredReading, studies: readonly Study[]): MeasuredReading {
  const study = studies.find(({ by, instrument }) => by === reading.by && instrument === reading.instrument);
  const figures = study && figuresOf(study);
  if (!figures) return reading;
  return {
    ...reading,
    ...(reading.placing === undefined ? { scatter: figures.own } : {}),
    ...(figures.bias ? { bias: figures.bias } : {}),
  };
}

/**
 * The sheet with its readings as sure as this hand has shown to be: a study of the hand and its tool stands for what is
 * usual, and where the repeats of a tool in this job scatter otherwise, every reading of that tool carries what they
 * show. Without either it is the very same sheet.
 */
export function withOwnScatter(asRead: BenchSheet): BenchSheet {
  const counting = studiesThatCount(asRead.studies ?? []);
  const sheet =
    counting.length === 0 ? asRead : (mapped(asRead, (reading) => withStudy(reading, counting)) as BenchSheet);
  const readings: MeasuredReading[] = [];
  gather(sheet, readings);
  if (readings.every(({ repeats }) => repeats.length < 2)) return sheet;
  const scatterOf = pooledScatter(readings);
  return mapped(sheet, (reading) => {
    const scatter = scatterOf(reading);
    return scatter === null ? reading : { ...reading, scatter };
  }) as BenchSheet;
}
