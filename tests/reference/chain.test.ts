import { atan2, cos, cross, multiply, subtract, tan, type MathType } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import {
  adjusterTravel,
  angleSetBack,
  elongation,
  elongationBySpan,
  filingsLeft,
  filingToGauges,
  heightAfter,
  strokesFor,
} from '../../src/core/chain';
import { cuttersExpected, sequenceByCount } from '../../src/core/identify';
import { centresFor, lengthOfLinks, pitchDiameter } from '../../src/core/loop';
import { mm, type Estimate } from '../../src/core/quantity';
import { DEFAULT_SCHOOLS, type Schools } from '../../src/core/schools';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';

type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;
type Chain = NonNullable<WrittenBenchSheet['chain']>;

function appraised(parts: Parts, schools: Schools = DEFAULT_SCHOOLS) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, { ...DEFAULT_RULES, schools }, null);
}

const sure = (value: number): Estimate => ({ value: mm(value), u: 0.02 });

/** A chain with nothing against it. */
const sound = (over: Partial<Chain> = {}): Chain => ({
  stamp: '325 .050',
  cuttersLeft: ['8.0 mm', '8.1 mm'],
  cuttersRight: ['8.0 mm', '7.9 mm'],
  pushPull: { joints: 60, closed: '495 mm', pulled: '498 mm' },
  ...over,
  checks: { crack: 'no', ...over.checks },
});
const verdictOf = (over: Partial<Chain>, schools?: Schools) =>
  appraised({ chain: sound(over) }, schools).verdicts.chain;
const checkOf = (parts: Parts, id: string) => appraised(parts).checks.find((each) => each.id === id);

describe('elongation (roller-chain practice, from memory: watch at 1.5 %, replace at 3 %)', () => {
  it('52 joints from 483.1 to 489.6 mm are 1.35 % and 0.125 mm a joint', () => {
    const found = elongation(sure(483.1), sure(489.6), 52);
    expect(found.percent).toBeCloseTo(1.35, 2);
    expect(found.perJoint).toBeCloseTo(0.125, 6);
  });

  it.each([
    ['500 mm', 'keep', 'ok'],
    ['505 mm', 'keep', 'watch'],
    ['515 mm', 'replace', 'fail'],
  ])('pushed to 495 mm and pulled to %s: %s', (pulled, action, outcome) => {
    const chain = sound({ pushPull: { joints: 60, closed: '495 mm', pulled } });
    expect(appraised({ chain }).verdicts.chain.action).toBe(action);
    expect(checkOf({ chain }, 'chain.elongation')?.outcome).toBe(outcome);
  });

  it('whole or half, the stretch says the same', () => {
    const half = elongation(sure(483.1), sure(489.6), 52);
    const whole = elongation(sure(966.2), sure(979.2), 104);
    expect(whole.percent).toBeCloseTo(half.percent, 9);
    expect(whole.perJoint).toBeCloseTo(half.perJoint, 9);
  });

  it('counts over what the chain showed when it was new, by push and pull and by span', () => {
    const { chain } = appraised({
      chain: sound({
        pushPull: { joints: 60, closed: '495 mm', pulled: '505 mm' },
        newPushPull: { joints: 60, closed: '495 mm', pulled: '498 mm' },
      }),
    });
    expect(chain.stretch.counted?.value).toBeCloseTo((100 * (10 - 3)) / 495, 9);
    expect(chain.stretch.bySpan?.value).toBeCloseTo(100 * (505 / 498 - 1), 9);
    expect(
      elongationBySpan({ length: sure(489.6), joints: 52 }, { length: sure(242.05), joints: 26 }).value,
    ).toBeCloseTo(100 * (489.6 / 52 / (242.05 / 26) - 1), 9);
  });

  it('a span without a new one to hold it against says nothing of wear', () => {
    expect(appraised({ chain: sound() }).chain.stretch.bySpan).toBeNull();
  });

  it('the tensioner pays for half of what the loop grew (the loop on two wheels, laid out)', () => {
    const [pitch, links, play] = [8.255, 72, 0.1];
    const wheels = { drive: pitchDiameter(pitch, 7) / 2, nose: pitchDiameter(pitch, 10) / 2 };
    const grown = lengthOfLinks(links, pitch + play) - lengthOfLinks(links, pitch);
    const wanted =
      centresFor(wheels, lengthOfLinks(links, pitch) + grown)! - centresFor(wheels, lengthOfLinks(links, pitch))!;
    expect(adjusterTravel(play, links)).toBeCloseTo(wanted, 1);
  });
});

describe('sequences (common practice, no source)', () => {
  it.each([
    ['full-complement', 2],
    ['semi-skip', 2.5],
    ['full-skip', 3],
  ] as const)('%s carries a cutter on every %s links', (sequence, links) => {
    expect(cuttersExpected(60, sequence)).toEqual([60 / links]);
  });

  it('an odd loop has one pair out of order at the join', () => {
    expect(cuttersExpected(45, 'full-complement')).toEqual([22, 23]);
  });
});

describe('what the counts of links and cutters say (common practice, no source)', () => {
  it('2 : 1 is full complement, 2.5 : 1 semi-skip, 3 : 1 full skip', () => {
    expect(sequenceByCount(60, 30)).toBe('full-complement');
    expect(sequenceByCount(60, 24)).toBe('semi-skip');
    expect(sequenceByCount(60, 20)).toBe('full-skip');
  });
});

describe('filings', () => {
  it('eight filings of 0.125 mm to the millimetre, two running hours each', () => {
    expect(filingsLeft(5, 4, 0.125)).toBe(8);
    const { chain } = appraised({
      chain: sound({ cuttersLeft: ['5.0 mm'], cuttersRight: ['5.0 mm'] }),
    });
    expect(chain.filingsLeft).toBeLessThanOrEqual(8);
    expect(chain.hoursLeft).toBe(2 * chain.filingsLeft!);
  });
});

describe('a wrong angle as set-back', () => {
  /**
   * Where the line through `along` direction meets the edge through `corner` at an angle: intersection of two lines, by
   * cross products.
   */
  function meets(corner: readonly [number, number], direction: readonly [number, number], x: number): number {
    const vertical = [0, 1, 0];
    const from = subtract([x, 0], [...corner]) as number[];
    const along = [...direction, 0];
    const z = (value: MathType) => (value as number[])[2]!;
    const t = z(cross([...from, 0], vertical)) / z(cross(along, vertical));
    return corner[1] + (multiply(t, [...direction]) as number[])[1]!;
  }

  it.each([
    [6, 45, 30],
    [6, 38, 30],
    [4.5, 35, 10],
  ])('a plate of %s mm from %s° to %s°, against lines that meet', (width, from, to) => {
    const radians = (degrees: number) => (degrees * Math.PI) / 180;
    // The old edge runs from the point (0, 0) back to the inner side; the new one starts where the old one ends there.
    const inner = [width, -width * tan(radians(from))] as const;
    const direction = [-cos(radians(to)), Math.sin(radians(to))] as const;
    expect(atan2(direction[1], -direction[0])).toBeCloseTo(radians(to), 12);
    const newPoint = meets(inner, direction, 0);
    expect(angleSetBack(width, from, to)).toBeCloseTo(-newPoint, 9);
  });

  it('45° to 30° over 6.0 mm takes 2.536 mm; a larger angle takes nothing off the point', () => {
    expect(angleSetBack(6, 45, 30)).toBeCloseTo(2.536, 3);
    expect(angleSetBack(6, 20, 30)).toBe(0);
  });

  it('comes off every cutter of its side', () => {
    const { chain } = appraised({
      chain: sound({
        cuttersLeft: ['7.0 mm'],
        cuttersRight: ['7.0 mm'],
        topPlateAngleLeft: 45,
        topPlateWidth: '6.0 mm',
      }),
    });
    expect(chain.correction).toMatchObject({ side: 'left' });
    expect(chain.correction!.length.value).toBeCloseTo(7 - 2.536, 2);
  });

  it('waits for the width of the plate rather than leave it out', () => {
    const { action, reasons } = verdictOf({ topPlateAngleLeft: 45 });
    expect(action).toBe('undecided');
    expect(reasons).toContainEqual({ code: 'missing', readings: ['chain.topPlateWidth'] });
  });
});

describe('depth gauges', () => {
  it('come nearer to the edge as the cutter goes back: 2 mm at 0.1 mm a mm', () => {
    expect(heightAfter(0.65, 2, 0.1)).toBeCloseTo(0.45, 12);
    expect(strokesFor(0.45, 0.65, 0.05)).toBe(4);
    expect(filingToGauges(0.85, 0.65, 0.1)).toBeCloseTo(2, 9);
  });

  it('left high they give fine dust and ask for the flat file (common practice, no source)', () => {
    const parts = {
      job: { symptoms: ['fine-dust' as const] },
      chain: sound({ depthGaugesLeft: ['0.30 mm', '0.35 mm'] }),
    };
    const { verdicts, diagnoses } = appraised(parts);
    expect(verdicts.chain).toMatchObject({ action: 'recondition', operations: ['lower-gauges'] });
    expect(diagnoses[0]!.causes[0]).toMatchObject({ cause: 'depth-gauges-high' });
  });

  it('too low they cannot be raised: the cutters go back, or the chain goes', () => {
    expect(verdictOf({ depthGaugesLeft: ['0.85 mm'] })).toMatchObject({
      action: 'recondition',
      operations: ['file-to-gauges'],
    });
    // What goes back by a low gauge is not there to be filed: hours and filings rest on what is left (derived).
    const { chain } = appraised({ chain: sound({ depthGaugesLeft: ['0.85 mm'] }) });
    const whole = appraised({ chain: sound({}) }).chain;
    expect(chain.afterFiling!.toGauge).toEqual({ side: 'left', cutter: 1 });
    expect(chain.afterFiling!.length).toBeLessThan(whole.afterFiling!.length);
    expect(chain.hoursLeft!).toBeLessThan(whole.hoursLeft!);
    const short = { cuttersLeft: ['4.4 mm'], cuttersRight: ['4.4 mm'], depthGaugesLeft: ['1.6 mm'] };
    expect(verdictOf(short).action).toBe('replace');
  });

  it('a scrapped chain is told all that was found of it (common practice, no source)', () => {
    const { verdicts } = appraised({
      chain: sound({
        cuttersLeft: ['3.0 mm'],
        cuttersRight: ['3.0 mm'],
        checks: { crack: 'yes', strapBurrs: 'heavy', burredTangs: 30 },
      }),
    });
    const found = verdicts.chain.reasons.map((reason) => (reason.code === 'check' ? reason.check.id : reason.code));
    expect(verdicts.chain.action).toBe('replace');
    expect(found).toEqual(expect.arrayContaining(['chain.crack', 'chain.cutter', 'chain.straps', 'chain.tangs']));
  });

  it('are wanted again once damage was filed out, though they stand right now', () => {
    const damaged = {
      depthGaugesLeft: ['0.65 mm', '0.65 mm'],
      damage: [{ side: 'left' as const, cutter: 1, setBack: '3.0 mm' }],
    };
    const { chain, verdicts } = appraised({ chain: sound(damaged) });
    expect(verdicts.chain.operations).toEqual(['file-back', 'lower-gauges']);
    expect(chain.gauges!.afterCorrection).toBeCloseTo(0.65 - 0.1 * 3, 1);
  });

  it('wait for the pitch where the families in question differ in the setting', () => {
    const chain = { ...sound({ depthGaugesLeft: ['0.7 mm'] }), stamp: '' };
    expect(appraised({ chain }).verdicts.chain.action).toBe('undecided');
    expect(appraised({ chain: { ...chain, gaugeSetting: '0.65 mm' } }).verdicts.chain.action).toBe('keep');
  });
});

describe('a dull edge', () => {
  it('costs a filing: a chain that has none left goes, and one that has is sharpened', () => {
    const at = (length: string) => ({
      cuttersLeft: [length, length],
      cuttersRight: [length, length],
      checks: { edge: 'dull' as const },
    });
    expect(verdictOf(at('6.0 mm'))).toMatchObject({ action: 'recondition', operations: ['sharpen'] });
    expect(verdictOf(at('4.02 mm')).action).toBe('replace');
    expect(verdictOf({ ...at('4.12 mm'), checks: { edge: 'sharp' } }).action).toBe('keep');
  });
});

describe('after the rework', () => {
  const again = { reworkDone: ['file-back' as const], after: { cuttersLeft: ['6.0 mm', '6.0 mm'] } };

  it('a side that was filed and not measured again keeps the chain open, whatever the other says', () => {
    expect(verdictOf(again)).toMatchObject({ action: 'undecided' });
    expect(verdictOf(again).reasons).toContainEqual({ code: 'missing', readings: ['chain.after.cuttersRight'] });
    expect(verdictOf({ ...again, after: { ...again.after, cuttersRight: ['6.0 mm', '6.0 mm'] } }).action).toBe('keep');
  });

  it('gauges that were lowered are measured again too, and so are cutters whose angle was brought back', () => {
    const lowered = { depthGaugesLeft: ['0.4 mm'], reworkDone: ['lower-gauges' as const] };
    expect(verdictOf(lowered).reasons).toContainEqual({ code: 'missing', readings: ['chain.after.depthGaugesLeft'] });
    expect(verdictOf({ ...lowered, after: { depthGaugesLeft: ['0.65 mm'] } }).action).toBe('keep');
    expect(verdictOf({ reworkDone: ['correct-angles'] }).action).toBe('undecided');
  });
});

describe('facts of the trade (common practice, no source)', () => {
  it('a young chain with deep damage can be scrap', () => {
    const young = { cuttersLeft: ['10 mm', '10 mm'], cuttersRight: ['10 mm', '10 mm'] };
    expect(verdictOf(young).action).toBe('keep');
    expect(
      verdictOf({ ...young, damage: [{ side: 'right', cutter: 2, kind: 'flat', setBack: '6.5 mm' }] }),
    ).toMatchObject({ action: 'replace' });
  });

  it('carbide is ground and never filed', () => {
    const damage = [{ side: 'left' as const, cutter: 1, setBack: '0.5 mm' }];
    expect(verdictOf({ damage }).operations).toEqual(['file-back']);
    expect(verdictOf({ damage, cutterShape: 'carbide' }).operations).toEqual(['grind-back']);
    expect(appraised({ chain: sound({ cutterShape: 'carbide' }) }).chain.start).toMatchObject({
      filing: 'ground',
      file: null,
    });
  });

  it('about two chains to a sprocket; a set that rotates counts as long as it has chains', () => {
    const outcome = (chainsRun: number, rotationSet?: number) =>
      checkOf(
        { driveSprocket: { wear: '0.1 mm', chainsRun, ...(rotationSet ? { rotationSet } : {}) } },
        'sprocket.chains',
      )?.outcome;
    expect([outcome(1), outcome(2), outcome(2, 3), outcome(3, 3)]).toEqual(['ok', 'watch', 'ok', 'watch']);
  });

  it('a worn sprocket hurts the next chain: none goes on it alone', () => {
    const parts: Parts = {
      chain: { ...sound(), driveLinks: [72, 72] },
      driveSprocket: { wear: '0.8 mm', pitch: '325', teeth: 7, type: 'rim' },
    };
    const blocked = appraised(parts);
    expect(blocked.fit.find(({ rule }) => rule === 'sprocket-takes-new-chain')?.holds).toBe(false);
    expect(blocked.order).toMatchObject({ withheld: [{ code: 'sprocket-worn' }] });
    const both = appraised({ ...parts, driveSprocket: { ...parts.driveSprocket, renewed: true } });
    expect(both.order).toMatchObject({ order: { driveSprocket: { pitch: '325', teeth: 7, type: 'rim' } } });
  });

  it('a sprocket graded deep by eye goes, unless a measure contradicts the eye', () => {
    const verdict = (driveSprocket: Parts['driveSprocket']) =>
      appraised({ driveSprocket }).verdicts.driveSprocket.action;
    expect(verdict({ grade: 'none' })).toBe('keep');
    expect(verdict({ grade: 'deep' })).toBe('replace');
    expect(verdict({ grade: 'deep', wear: '0.1 mm' })).toBe('undecided');
    expect(verdict({ grade: 'none', wear: '0.9 mm' })).toBe('replace');
  });

  it('a chain that comes off is first of all slack', () => {
    const [first] = appraised({ job: { symptoms: ['chain-comes-off'] } }).diagnoses[0]!.causes;
    expect(first).toMatchObject({ cause: 'chain-slack' });
  });

  it('a chain that came off asks for the catcher and the rear guard of the saw', () => {
    const { plan, fit } = appraised({ job: { brought: ['whole-saw'] }, chain: sound({ checks: { derailed: 'yes' } }) });
    expect(plan.steps.map(({ measure }) => measure)).toEqual(
      expect.arrayContaining(['saw.checks.chainCatcher', 'saw.checks.rearGuard']),
    );
    expect(fit.find(({ rule }) => rule === 'saw-guards-are-whole')?.holds).toBeNull();
    const broken = appraised({ saw: { checks: { chainCatcher: 'missing', rearGuard: 'ok' } } });
    expect(broken.fit.find(({ rule }) => rule === 'saw-guards-are-whole')).toMatchObject({
      holds: false,
      reason: { guards: ['chainCatcher'] },
    });
  });
});

describe('both schools, where practitioners disagree', () => {
  const of = (chosen: Partial<Schools>): Schools => ({ ...DEFAULT_SCHOOLS, ...chosen });
  const flat = {
    cuttersLeft: ['10 mm', '10 mm'],
    cuttersRight: ['10 mm', '10 mm'],
    damage: [{ side: 'left' as const, cutter: 1, kind: 'flat' as const, setBack: '5.5 mm' }],
  };

  it('deep flat spots: advised on at half, filed back, or condemned', () => {
    const advised = verdictOf(flat);
    expect(advised.action).toBe('recondition');
    expect(advised.reasons.some((reason) => reason.code === 'check' && reason.check.id === 'chain.half')).toBe(true);
    const filed = verdictOf(flat, of({ flatSpots: 'grind-back' }));
    expect(filed.action).toBe('recondition');
    expect(filed.reasons.some((reason) => reason.code === 'check' && reason.check.id === 'chain.half')).toBe(false);
    expect(verdictOf(flat, of({ flatSpots: 'condemn-at-half' })).action).toBe('replace');
  });

  it('a slightly bent bar: straightened, or replaced', () => {
    const bar = (schools: Schools) => {
      const { checks } = appraised({ bar: { checks: { bow: '0.4 mm', twist: 'slight' } } }, schools);
      return checks.filter(({ id }) => id === 'bar.bow' || id === 'bar.twist').map(({ outcome }) => outcome);
    };
    expect(bar(DEFAULT_SCHOOLS)).toEqual(['watch', 'watch']);
    expect(bar(of({ bentBar: 'always-replace' }))).toEqual(['fail', 'fail']);
  });

  it('low-kickback: a choice on record steps up; for the untrained never where the shop says so; professionals are asked', () => {
    const order = (
      job: Parts['job'],
      school: Schools['lowKickback'],
      kickbackClass: Chain['kickbackClass'] = 'low-kickback',
    ) => {
      const { order: outcome } = appraised(
        { job, chain: { ...sound({ kickbackClass }), driveLinks: [72, 72] } },
        of({ lowKickback: school }),
      );
      return 'order' in outcome ? outcome.order.kickbackClass : 'withheld';
    };
    const chosen = { operatorTrained: false, kickbackChoice: 'asked for it' };
    expect(order({ operatorTrained: true }, 'recorded-choice')).toBe('low-kickback');
    expect(order(chosen, 'recorded-choice')).toBe('standard');
    expect(order(chosen, 'trained-only')).toBe('low-kickback');
    expect(order({ ...chosen, operatorTrained: true }, 'trained-only')).toBe('standard');
    expect(order({ operatorTrained: true }, 'professionals-free')).toBeNull();
    expect(order({ operatorTrained: false }, 'professionals-free')).toBe('low-kickback');
    expect(order({ operatorTrained: true }, 'professionals-free', 'standard')).toBe('standard');
  });

  it('bumper links mark low-kickback chain where nobody said its class', () => {
    const { order } = appraised({
      job: { operatorTrained: true },
      chain: { ...sound({ bumperLinks: true }), driveLinks: [72, 72] },
    });
    expect(order).toMatchObject({ order: { kickbackClass: 'low-kickback' } });
  });

  const uneven = { cuttersLeft: ['9.0 mm', '9.0 mm'], cuttersRight: ['8.0 mm', '8.0 mm'] };
  const station = (at: number, near: number) => ({
    at: `${at} mm`,
    near: `${near} mm`,
    far: '8.0 mm',
    mouth: '1.36 mm',
  });
  const barWith = (near: number) => ({
    stamp: '325 .050 72DL',
    checks: { crack: 'no' as const, bow: '0 mm', noseTurns: 'free' as const },
    edges: {
      A: { stations: [40, 110, 180, 250, 320].map((at) => station(at, near)) },
      B: { stations: [40, 110, 180, 250, 320].map((at) => station(at, near)) },
    },
  });
  const first = (near: number, curvedCuts: Schools['curvedCuts']) =>
    appraised({ job: { symptoms: ['cuts-curved-left'] }, chain: sound(uneven), bar: barWith(near) }, of({ curvedCuts }))
      .diagnoses[0]!;

  it('curved cuts: the bar first, and the cutters only where the bar measures sound; or the cutters as well', () => {
    expect(first(8.5, 'bar-first').causes[0]).toMatchObject({ cause: 'rails-unlevel' });
    expect(first(8.0, 'bar-first').causes[0]).toMatchObject({ cause: 'cutters-uneven' });
    const shareOf = (school: Schools['curvedCuts']) =>
      first(8.5, school).causes.find(({ cause }) => cause === 'cutters-uneven')!.share;
    expect(shareOf('cutters-too')).toBeGreaterThan(2 * shareOf('bar-first'));
    expect(first(8.5, 'bar-first').otherSchool).toMatchObject({ school: 'cutters-too' });
  });
});
