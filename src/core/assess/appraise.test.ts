import { NOT_SIGNED, SIGNED } from '../../../tests/support/course';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULTS, resolveLimits } from '../limits';
import { readSheet, type WrittenBenchSheet } from '../sheet';
import { gainOfRepeat, inOrder } from '../next';
import { nextStep, stepStates } from '../workflow';
import { appraise, DEFAULT_RULES } from './index';

type Bar = NonNullable<WrittenBenchSheet['bar']>;
type Station = NonNullable<NonNullable<NonNullable<Bar['edges']>['A']>['stations']>[number];

const at = (position: number, near: number, far: number, more: Partial<Station> = {}): Station => ({
  at: `${position} mm`,
  near: `${near} mm`,
  far: `${far} mm`,
  ...more,
});

/** A bar with nothing against it; single findings are laid over it. */
function bar(
  over: Partial<Bar> = {},
  A: Station[] = [at(60, 8, 8, { mouth: '1.36 mm' }), at(200, 8, 8)],
  B: Station[] = [at(60, 8, 8), at(200, 8, 8)],
): Bar {
  return {
    stamp: '325 .050 72DL',
    nose: 'sprocket',
    ...over,
    checks: { bow: '0 mm', crack: 'no', slot: 'ok', oilHoles: 'clear', noseTurns: 'free', ...over.checks },
    edges: { A: { stations: A }, B: { stations: B } },
  };
}

function appraised(parts: Omit<WrittenBenchSheet, 'format' | 'version'>, limits = DEFAULTS) {
  const sheet = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.error));
  return { ...appraise(sheet.value, { ...DEFAULT_RULES, limits }, null), sheet: sheet.value };
}

const barVerdict = (given: Bar) => appraised({ bar: given }).verdicts.bar;

describe('the verdict on a bar', () => {
  it('keeps a sound one and names what that rests on', () => {
    const { action, operations, decidedBy } = barVerdict(bar());
    expect({ action, operations }).toEqual({ action: 'keep', operations: [] });
    expect(decidedBy?.probability).toBeGreaterThan(0.95);
  });

  it.each<[string, Partial<Bar>, string, string]>([
    ['a crack', { checks: { crack: 'yes' } }, 'replace', 'bar.crack'],
    ['a real bend', { checks: { bow: '0.9 mm' } }, 'replace', 'bar.bow'],
    ['a wallowed slot', { checks: { slot: 'wallowed' } }, 'replace', 'bar.slot'],
    [
      'a seized nose that cannot be replaced',
      { checks: { noseTurns: 'seized' }, noseReplaceable: false },
      'replace',
      'bar.nose',
    ],
    ['a seized nose that can', { checks: { noseTurns: 'seized' }, noseReplaceable: true }, 'recondition', 'bar.nose'],
    ['a seized nose nobody asked about', { checks: { noseTurns: 'seized' } }, 'undecided', 'bar.nose'],
    ['a suspected crack', { checks: { crack: 'unsure' } }, 'undecided', 'bar.crack'],
    ['a slight bend', { checks: { bow: '0.35 mm' } }, 'recondition', 'bar.bow'],
    ['blocked oil holes', { checks: { oilHoles: 'blocked' } }, 'clean', 'bar.oil-holes'],
  ])('%s', (_name, over, action, check) => {
    const verdict = barVerdict(bar(over));
    expect(verdict.action).toBe(action);
    expect(verdict.decidedBy?.id).toBe(check);
  });

  it('does not condemn for dirt, blueing, burrs or unlevel rails with depth left', () => {
    const verdict = barVerdict(
      bar({ checks: { oilHoles: 'blocked', groove: 'packed', blueing: 'heavy' } }, [
        at(60, 8, 7.6, { mouth: '1.4 mm', burrFar: 'heavy' }),
        at(200, 8, 8),
      ]),
    );
    expect(verdict.action).toBe('recondition');
    expect(verdict.operations).toEqual(['clean-oil-holes', 'rake-groove', 'dress-rails', 'deburr']);
  });

  it('replaces one that is too shallow, at the place where it is', () => {
    const { decidedBy, action } = barVerdict(bar({}, [at(60, 8, 8, { mouth: '1.4 mm' }), at(200, 5.4, 5.5)]));
    expect(action).toBe('replace');
    expect(decidedBy).toMatchObject({ id: 'bar.depth', at: { edge: 'A', station: 1, rail: 'near' }, limit: 6 });
  });

  it('replaces one that dressing would make too shallow, though it is deep enough today', () => {
    const { verdicts, checks } = appraised({
      bar: bar({}, [at(60, 8, 7.6, { mouth: '1.4 mm', chipFar: { length: '30 mm', depth: '1.2 mm' } }), at(65, 8, 8)]),
      chain: { tang: '6.6 mm' },
    });
    expect(checks.filter(({ id }) => id === 'bar.depth').every(({ outcome }) => outcome === 'ok')).toBe(true);
    expect(verdicts.bar.action).toBe('replace');
    expect(verdicts.bar.reasons.map((reason) => reason.code === 'check' && reason.check.id)).toContain(
      'bar.floor-clearance-after',
    );
  });

  it('calls a depth within its doubt of the limit undecided and asks for it again', () => {
    const { verdicts, next } = appraised({
      bar: bar({}, [at(60, 6.03, 6.03, { mouth: '1.4 mm' }), at(200, 6.5, 6.5)]),
    });
    expect(verdicts.bar.action).toBe('undecided');
    // Beside the weakest place, where another reading tells more than the same one again.
    const again = next.find(({ reason }) => reason.code === 'too-close');
    expect(again!.measure).toContain('bar.edges.A.stations.');
    expect(again!.decides).toBeGreaterThan(0.03);
  });

  it('stays undecided while something required is missing, with the work already known', () => {
    const { checks: _checks, ...rest } = bar();
    const verdict = barVerdict({ ...rest, checks: { oilHoles: 'blocked' } });
    expect(verdict.action).toBe('undecided');
    expect(verdict.operations).toEqual(['clean-oil-holes']);
    expect(verdict.reasons).toContainEqual({
      code: 'missing',
      readings: ['bar.checks.crack', 'bar.checks.bow', 'bar.checks.noseTurns'],
    });
  });

  it('condemns for one failure, whatever is missing', () => {
    expect(barVerdict({ checks: { crack: 'yes' } }).action).toBe('replace');
  });

  it('does not ask a hard nose to turn', () => {
    const { noseTurns: _turns, ...checks } = bar().checks!;
    expect(barVerdict({ ...bar({ nose: 'hard' }), checks }).action).toBe('keep');
  });

  it.each<[string, Partial<Bar>, { bar: string; nose: string }]>([
    ['not looked at', {}, { bar: 'keep', nose: 'undecided' }],
    ['sound', { checks: { hardNose: 'good' } }, { bar: 'keep', nose: 'keep' }],
    ['worn', { checks: { hardNose: 'worn' } }, { bar: 'keep', nose: 'keep' }],
    [
      'through, and part of the bar',
      { checks: { hardNose: 'through' }, noseReplaceable: false },
      { bar: 'replace', nose: 'replace' },
    ],
    [
      'through, and replaceable',
      { checks: { hardNose: 'through' }, noseReplaceable: true },
      { bar: 'recondition', nose: 'replace' },
    ],
    ['through, and nobody asked', { checks: { hardNose: 'through' } }, { bar: 'undecided', nose: 'replace' }],
  ])('looks at the facing of a hard nose: %s', (_name, over, wanted) => {
    const { verdicts } = appraised({ bar: bar({ nose: 'hard', ...over }) });
    expect({ bar: verdicts.bar.action, nose: verdicts.nose.action }).toEqual(wanted);
  });

  it('says nothing of a facing where a sprocket runs', () => {
    const { checks } = appraised({ bar: bar({ checks: { hardNose: 'through' } }) });
    expect(checks.map(({ id }) => id)).not.toContain('nose.hard-wear');
  });

  it('judges depth for every pitch the bar may have while its pitch is open', () => {
    const open = { stamp: '3/8 .050' };
    const chain = { span: { rivets: 11, length: '93.8 mm' }, driveLinkThickness: '1.26 mm' };
    const between = appraised({ bar: bar(open, [at(60, 5.5, 5.5, { mouth: '1.36 mm' })], [at(60, 5.5, 5.5)]), chain });
    expect(between.verdicts.bar.action).toBe('undecided');
    expect(between.checks.find(({ id }) => id === 'bar.depth')?.note?.code).toBe('depends-on-pitch');
    const deep = appraised({ bar: bar(open, [at(60, 7, 7, { mouth: '1.36 mm' })], [at(60, 7, 7)]), chain });
    expect(deep.verdicts.bar.action).toBe('keep');
  });

  it('asks for the pitch before it calls a depth good', () => {
    const { verdicts, next } = appraised({ bar: bar({ stamp: '' }) });
    expect(verdicts.bar.action).toBe('undecided');
    expect(next.map(({ measure }) => measure)).toContain('bar.stamp');
  });

  it('asks again when the observed test and the measured play disagree', () => {
    const chain = { driveLinkThickness: '1.26 mm', tang: '5.2 mm', kerf: '7.2 mm', tipHeight: '11 mm' };
    const { checks, verdicts } = appraised({
      bar: bar({ thickness: '4.7 mm', checks: { straightEdge: 'passes-beyond' } }),
      chain,
    });
    expect(checks.find(({ id }) => id === 'bar.straight-edge')).toMatchObject({
      outcome: 'undecided',
      note: { code: 'test-disagrees' },
    });
    expect(verdicts.bar.action).toBe('undecided');
  });

  it('takes the play limit from the geometry where it is known', () => {
    const chain = { driveLinkThickness: '1.27 mm', tang: '5 mm', kerf: '7.2 mm', tipHeight: '11 mm' };
    const known = appraised({ bar: bar({ thickness: '4.7 mm' }), chain });
    expect(known.bar.playLimit).toMatchObject({ provenance: 'derived' });
    expect(known.bar.playLimit.value).toBeCloseTo(0.56, 3);
    expect(appraised({ bar: bar() }).bar.playLimit).toMatchObject({ value: 0.5, provenance: 'practice' });
  });

  it('never gets worse by more depth', () => {
    const rank = { keep: 0, clean: 1, recondition: 2, undecided: 3, replace: 4 } as const;
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (depth, more) => {
          const with_ = (value: number) =>
            barVerdict(bar({}, [at(60, value, value, { mouth: '1.36 mm' })], [at(60, value, value)])).action;
          expect(rank[with_(Number((depth + more).toFixed(3)))]).toBeLessThanOrEqual(
            rank[with_(Number(depth.toFixed(3)))],
          );
        },
      ),
      { seed: 4, numRuns: 60 },
    );
  });
});

describe('chain, sprocket and nose', () => {
  const sound = {
    checks: { crack: 'no' as const },
    cuttersLeft: ['6.1 mm'],
    cuttersRight: ['6.0 mm'],
    pushPull: { joints: 60, closed: '495.0 mm', pulled: '500.1 mm' },
  };

  it('computes elongation, correction and filings left', () => {
    const { chain } = appraised({
      chain: {
        ...sound,
        cuttersLeft: ['6.1 mm', '6.0 mm'],
        cuttersRight: ['5.6 mm', '5.7 mm'],
        damage: [{ side: 'right', cutter: 4, setBack: '0.8 mm' }],
        witnessLimit: '4.0 mm',
      },
    });
    expect(chain.stretch.measured?.percent).toBeCloseTo(1.0303, 4);
    expect(chain.stretch.measured?.perJoint).toBeCloseTo(0.085, 9);
    expect(chain.correction?.length.value).toBeCloseTo(4.8, 9);
    expect(chain.filingsLeft).toBe(6);
  });

  it.each<[string, NonNullable<WrittenBenchSheet['chain']>, string]>([
    ['sound', sound, 'keep'],
    ['cracked', { checks: { crack: 'yes' } }, 'replace'],
    ['filed out', { ...sound, cuttersLeft: ['3.5 mm'] }, 'replace'],
    ['damaged deep', { ...sound, damage: [{ side: 'left', cutter: 1, setBack: '2.5 mm' }] }, 'replace'],
    ['damaged a little', { ...sound, damage: [{ side: 'left', cutter: 1, setBack: '0.5 mm' }] }, 'recondition'],
    ['uneven', { ...sound, cuttersRight: ['5.2 mm'] }, 'recondition'],
    ['stretched', { ...sound, pushPull: { joints: 60, closed: '495 mm', pulled: '515 mm' } }, 'replace'],
    ['many burred tangs', { ...sound, checks: { crack: 'no', burredTangs: 12 } }, 'replace'],
    ['few burred tangs', { ...sound, checks: { crack: 'no', burredTangs: 2 } }, 'recondition'],
    ['half measured', { checks: { crack: 'no' } }, 'undecided'],
  ])('a chain that is %s', (_name, chain, action) => {
    expect(appraised({ chain }).verdicts.chain.action).toBe(action);
  });

  it.each([
    ['0.1 mm', 'keep'],
    ['0.7 mm', 'replace'],
    ['0.48 mm', 'undecided'],
  ])('a drive sprocket worn %s', (wear, action) => {
    expect(appraised({ driveSprocket: { wear } }).verdicts.driveSprocket.action).toBe(action);
  });

  it('watches a sprocket from its second chain on, and keeps it', () => {
    const { verdicts, checks } = appraised({ driveSprocket: { wear: '0.1 mm', chainsRun: 2 } });
    expect(checks.find(({ id }) => id === 'sprocket.chains')?.outcome).toBe('watch');
    expect(verdicts.driveSprocket.action).toBe('keep');
  });
});

describe('the set', () => {
  const chain = { stamp: '.325', driveLinkThickness: '1.26 mm', driveLinks: [72, 72] };
  const rule = (result: ReturnType<typeof appraised>, name: string) =>
    result.fit.find((judgement) => judgement.rule === name);

  it('orders by three settled numbers', () => {
    const { order } = appraised({ chain, bar: bar() });
    expect(order).toMatchObject({ order: { pitch: '325', gauge: '.050', driveLinks: 72, kickbackClass: null } });
  });

  it('withholds the order while a number is open, naming each', () => {
    const { order } = appraised({ chain: { driveLinks: [72] } });
    expect(order).toEqual({
      withheld: [
        { code: 'not-settled', number: 'pitch', status: 'open' },
        { code: 'not-settled', number: 'gauge', status: 'open' },
        { code: 'not-settled', number: 'driveLinks', status: 'open' },
      ],
    });
  });

  it('asks for a count even when the bar is stamped', () => {
    const { order } = appraised({ bar: bar() });
    expect(order).toEqual({ withheld: [{ code: 'links-not-counted' }] });
  });

  it('catches the thin chain in a wide groove, with its rock, and withholds the order', () => {
    const result = appraised({
      chain: { ...chain, driveLinkThickness: '1.09 mm', stamp: '3/8LP', tang: '5 mm' },
      bar: bar({ stamp: '3/8LP .050 72DL' }),
    });
    expect(rule(result, 'chain-gauge-is-bar-gauge')).toMatchObject({
      holds: false,
      reason: { code: 'goes-in-must-not' },
    });
    expect(result.order).toMatchObject({ withheld: [{ code: 'parts-clash', rule: 'chain-gauge-is-bar-gauge' }] });
  });

  it('knows that a thick chain will not run', () => {
    const result = appraised({ chain: { ...chain, driveLinkThickness: '1.46 mm' }, bar: bar() });
    expect(rule(result, 'chain-gauge-is-bar-gauge')).toMatchObject({ holds: false, reason: { code: 'will-not-run' } });
  });

  it('keeps 3/8 low profile from 3/8 standard, and an open 3/8 from .325', () => {
    const standard = appraised({ chain: { stamp: '3/8LP' }, driveSprocket: { pitch: '38' } });
    expect(rule(standard, 'chain-pitch-is-sprocket-pitch')?.holds).toBe(false);
    const open = appraised({ chain: { stamp: '3/8' }, driveSprocket: { pitch: '325' } });
    expect(rule(open, 'chain-pitch-is-sprocket-pitch')?.holds).toBe(false);
    const unsaid = appraised({ chain: { stamp: '3/8' }, driveSprocket: { pitch: '38' } });
    expect(rule(unsaid, 'chain-pitch-is-sprocket-pitch')?.holds).toBeNull();
  });

  it('never steps up from low-kickback', () => {
    const low = appraised({ chain: { ...chain, kickbackClass: 'low-kickback' }, job: { operatorTrained: true } });
    expect(low.order).toMatchObject({ order: { kickbackClass: 'low-kickback' } });
    const untrained = appraised({ chain: { ...chain, kickbackClass: 'standard' }, job: { operatorTrained: false } });
    expect(untrained.order).toMatchObject({ order: { kickbackClass: 'low-kickback' } });
    expect(rule(untrained, 'kickback-not-stepped-up')?.holds).toBe(false);
  });

  it('does not put a new chain on a worn sprocket', () => {
    expect(rule(appraised({ driveSprocket: { wear: '0.8 mm' } }), 'sprocket-takes-new-chain')?.holds).toBe(false);
    expect(rule(appraised({}), 'sprocket-takes-new-chain')?.holds).toBeNull();
  });
});

describe('what to do next', () => {
  it('gains nothing from repeating a reading far from its limit, and most at the limit', () => {
    expect(gainOfRepeat(3, 0.1, 0.1)).toBeLessThan(1e-9);
    expect(gainOfRepeat(0, 0.1, 0.1)).toBeGreaterThan(gainOfRepeat(0.1, 0.1, 0.1));
    expect(gainOfRepeat(0, 0.1, 0.01)).toBeGreaterThan(gainOfRepeat(0, 0.1, 0.1));
  });

  it('puts first what decides oftenest for its minutes, set-ups that are due counted, and asks for each thing once', () => {
    const { next } = appraised({ bar: {}, chain: {} });
    expect(next).toEqual(inOrder(next, ({ decides }) => decides));
    expect(new Set(next.map(({ measure }) => measure)).size).toBe(next.length);
  });

  it('leads through the steps', () => {
    const empty = appraised({});
    expect(nextStep(stepStates(empty.sheet, empty, NOT_SIGNED))).toBe('take-in');
    const done = appraised({ job: { complaint: 'dull', operatorTrained: true }, bar: bar() });
    const states = stepStates(done.sheet, done, SIGNED);
    expect(states.find(({ step }) => step === 'chain')?.state).toBe('not-needed');
    expect(nextStep(states)).toBe('hand-over');
    expect(nextStep(stepStates(done.sheet, done, { ...SIGNED, handedOver: true }))).toBeNull();
  });
});

describe('limits', () => {
  it('of the shop decide', () => {
    const strict = resolveLimits({ 'bar.depth.325': 9 });
    expect(strict.ok && appraised({ bar: bar() }, strict.value).verdicts.bar.action).toBe('replace');
  });
});
