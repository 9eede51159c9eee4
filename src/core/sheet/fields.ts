import { PLACING_ON_RIVETS, type FieldSpec } from '../quantity';

/**
 * What each length field of a bench sheet expects: plausible kind and usual instrument. The keys are the field names of the
 * sheet; a name means the same wherever it stands.
 */
export const SHEET_FIELDS = {
  thickness: { kind: 'barThickness', instrument: 'caliper' },
  bodyHeight: { kind: 'bodyHeight', instrument: 'caliper' },
  effectiveLength: { kind: 'barLength', instrument: 'rule' },
  overallLength: { kind: 'barLength', instrument: 'rule' },
  listedLength: { kind: 'barLength', instrument: 'rule' },
  reach: { kind: 'barLength', instrument: 'rule' },
  groove: { kind: 'grooveWidth', instrument: 'caliper', goNoGo: 'tab' },
  fileSize: { kind: 'file', instrument: 'caliper' },
  loopLength: { kind: 'loop', instrument: 'tape' },
  tape: { kind: 'loop', instrument: 'tape' },
  centres: { kind: 'centres', instrument: 'tape' },
  chipLength: { kind: 'chip', instrument: 'rule' },
  chipDepth: { kind: 'smallDefect', instrument: 'depth-rod' },
  noseRadius: { kind: 'noseRadius', instrument: 'rule' },
  bow: { kind: 'smallDefect', instrument: 'feeler' },
  at: { kind: 'station', instrument: 'rule' },
  near: { kind: 'depth', instrument: 'depth-rod' },
  far: { kind: 'depth', instrument: 'depth-rod' },
  mouth: { kind: 'grooveWidth', instrument: 'caliper', goNoGo: 'tab' },
  deep: { kind: 'grooveWidth', instrument: 'caliper', goNoGo: 'tab' },
  deepAt: { kind: 'depth', instrument: 'depth-rod' },
  spanLength: { kind: 'span', instrument: 'caliper', placing: PLACING_ON_RIVETS },
  driveLinkThickness: { kind: 'thickness', instrument: 'caliper', goNoGo: 'slot' },
  tang: { kind: 'tang', instrument: 'caliper' },
  kerf: { kind: 'kerf', instrument: 'caliper' },
  tipHeight: { kind: 'kerf', instrument: 'caliper' },
  cutterLength: { kind: 'cutter', instrument: 'caliper' },
  setBack: { kind: 'cutter', instrument: 'caliper' },
  witnessLimit: { kind: 'cutter', instrument: 'caliper' },
  pushPull: { kind: 'push', instrument: 'tape' },
  wear: { kind: 'smallDefect', instrument: 'feeler' },
} as const satisfies Record<string, FieldSpec>;

/** Names a row of {@link SHEET_FIELDS}. */
export type SheetField = keyof typeof SHEET_FIELDS;

/** The field's expectation, with its optional members visible. */
export function fieldSpec(field: SheetField): FieldSpec {
  return SHEET_FIELDS[field];
}
