import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { sheetFromEntries } from '../sheet';
import type { SignedChoices } from '../refit';
import { orderedParts } from './order-parts';

/** What a set came to of which this is said, beside its stamps and its pattern. */
function ordered(said: Readonly<Record<string, string>>, signed: SignedChoices | null = null) {
  const entries = {
    'bar.stamp': '18 in .325 .050 72DL',
    'bar.nose': 'sprocket',
    'bar.noseTeeth': '10',
    'bar.mount': 'M2',
    'saw.mount': 'M2',
    ...said,
  };
  const { sheet, refused } = sheetFromEntries(
    Object.entries(entries).map(([path, text]) => ({ path, text, unit: 'mm' as const })),
  );
  expect(refused).toEqual([]);
  const judged = { sheet, ...appraise(sheet, DEFAULT_RULES, signed) };
  return orderedParts(judged, DEFAULT_RULES.schools, signed).map(({ part }) => part);
}

const SEIZED = { 'bar.checks.noseTeeth': 'missing' };

describe('parts that are ordered beside the chain', () => {
  it('are none while nothing is condemned', () => {
    expect(ordered({})).toEqual([]);
  });

  it('are a bar for a cracked one, and a drive sprocket for a worn one', () => {
    expect(ordered({ 'bar.checks.crack': 'yes' })).toEqual(['bar']);
    expect(ordered({ 'driveSprocket.wear': '0.9 mm' })).toEqual(['driveSprocket']);
    expect(ordered({ 'bar.checks.crack': 'yes', 'driveSprocket.wear': '0.9 mm' })).toEqual(['bar', 'driveSprocket']);
  });

  it('are none that a signed plan speaks of', () => {
    const worn = { 'bar.checks.crack': 'yes', 'driveSprocket.wear': '0.9 mm' };
    expect(ordered(worn, { driveSprocket: 'replace' })).toEqual(['bar']);
    expect(ordered(worn, { bar: 'replace', driveSprocket: 'replace' })).toEqual([]);
    expect(ordered(SEIZED, { bar: 'replace', nose: 'replace' })).toEqual([]);
  });

  it('are a nose where it can be renewed, else the bar that brings one', () => {
    expect(ordered({ ...SEIZED, 'bar.noseReplaceable': 'yes' })).toEqual(['nose']);
    expect(ordered({ ...SEIZED, 'bar.noseReplaceable': 'no' })).toEqual(['bar']);
    expect(ordered(SEIZED)).toEqual(['bar']);
  });

  it('are one bar and no nose where both go', () => {
    expect(ordered({ ...SEIZED, 'bar.noseReplaceable': 'yes', 'bar.checks.crack': 'yes' })).toEqual(['bar']);
  });

  it('are the small parts of the drive that have failed, unless a plan takes them', () => {
    const bent = { 'driveSprocket.clip': 'bent', 'driveSprocket.bearing': 'worn', 'driveSprocket.wear': '0.05 mm' };
    expect(ordered(bent)).toEqual(['bearing', 'clip']);
    expect(ordered(bent, { driveSprocket: 'recondition' })).toEqual([]);
    expect(ordered({ ...bent, 'driveSprocket.wear': '0.9 mm' })).toEqual(['driveSprocket', 'bearing', 'clip']);
  });
});
