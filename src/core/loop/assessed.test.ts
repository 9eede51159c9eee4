import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { sheetFromEntries } from '../sheet';

/** All that tells how far the tensioner is out: both centres, links counted twice, pitch by span, teeth of both wheels. */
const WHOLE: Readonly<Record<string, string>> = {
  'loop.centreBack': '518 mm',
  'loop.centreOut': '530 mm',
  'chain.driveLinks.0': '72',
  'chain.driveLinks.1': '72',
  'chain.span.rivets': '11',
  'chain.span.length': '82.6 mm',
  'driveSprocket.teeth': '7',
  'bar.nose': 'sprocket',
  'bar.noseTeeth': '10',
};

const tensionOf = (entries: Readonly<Record<string, string>>) => {
  const { sheet, refused } = sheetFromEntries(
    Object.entries(entries).map(([path, text]) => ({ path, text, unit: 'mm' as const })),
  );
  expect(refused).toEqual([]);
  return appraise(sheet, DEFAULT_RULES, null).loop.tension;
};

describe('how far the tensioner is out', () => {
  it('is known by both centres, the links, the pitch and both wheels', () => {
    expect(tensionOf(WHOLE)).toMatchObject({ links: 72, from: 'span', travel: 12 });
  });

  it.each(Object.keys(WHOLE).filter((path) => path !== 'bar.nose'))('is not known without %s', (path) => {
    expect(tensionOf(Object.fromEntries(Object.entries(WHOLE).filter(([each]) => each !== path)))).toBeNull();
  });

  it('is not told where the tensioner stands out less than back: one of the two is wrong', () => {
    expect(tensionOf({ ...WHOLE, 'loop.centreOut': '510 mm' })).toBeNull();
    expect(tensionOf({ ...WHOLE, 'loop.centreOut': '518 mm' })).toBeNull();
  });

  it('is close where an end of the travel is within the doubt of a tape, and not far from both', () => {
    const { used, left } = tensionOf(WHOLE)!;
    const at = (back: number, out: number) =>
      tensionOf({ ...WHOLE, 'loop.centreBack': `${back.toFixed(1)} mm`, 'loop.centreOut': `${out.toFixed(1)} mm` })!;
    const stands = 518 + used;
    expect(used + left).toBeCloseTo(12, 5);
    expect(at(stands - 0.2, stands + 12).close).toBe(true);
    expect(at(stands - 12, stands + 0.2).close).toBe(true);
    expect(at(stands - 6, stands + 6).close).toBe(false);
  });
});
