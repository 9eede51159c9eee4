import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { describe, expect, inject, it } from 'vitest';
import { jsonSchema, SCHEMA_NAMES } from '../../src/cli/schemas';
import {
  assessmentSchema,
  handOverSchema,
  pictureSchema,
  plansSchema,
  type Assessment,
  type HandOverDocument,
} from '../../src/core/report';
import { DEMO_SHEETS } from '../../src/data/demo';
import { taken } from '../support/photographs/taken';
import { chainPiece } from '../support/photographs/things';

const folder = mkdtempSync(join(tmpdir(), 'serrata-cli-'));
const file = (name: string, content: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
};

function serrata(args: string[], input = '') {
  const { status, stdout, stderr } = spawnSync(process.execPath, [inject('prepared').cli, ...args], {
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}

const sheet = file('sheet.json', DEMO_SHEETS['L-0417']);

describe('serrata assess', () => {
  it('prints an assessment that its own schema accepts', () => {
    const { status, stdout, stderr } = serrata(['assess', sheet]);
    expect({ status, stderr }).toEqual({ status: 0, stderr: '' });
    const assessment: Assessment = assessmentSchema.parse(JSON.parse(stdout));
    expect(assessment.verdicts.bar).toMatchObject({
      action: 'recondition',
      operations: expect.arrayContaining(['dress-rails']),
    });
    expect(assessment.order?.chain).toEqual({
      pitch: '325',
      gauge: '.050',
      driveLinks: 72,
      kickbackClass: 'low-kickback',
      sequence: 'full-complement',
    });
    expect(assessment.checks.every(({ why }) => why.length > 5)).toBe(true);
  });

  it('reads standard input, and says the same for people', () => {
    const { status, stdout } = serrata(['assess', '-', '--text'], JSON.stringify(DEMO_SHEETS['L-0417']));
    expect(status).toBe(0);
    expect(stdout).toMatch(/^Bar: Recondition/);
    expect(stdout).toContain('Order: chain .325, .050 in (1.3 mm), 72 drive links, low-kickback');
    expect(stdout).toMatch(/Cuts in a curve, left: what ails it\n {2}\d+ % {2}The rails are not level/);
  });

  it('adds the shares of verdicts by draws, the same for the same seed, and refuses what is no number', () => {
    const drawn = (seed: string) => {
      const { status, stdout } = serrata(['assess', sheet, '--draws', '5000', '--seed', seed]);
      expect(status).toBe(0);
      return assessmentSchema.parse(JSON.parse(stdout)).doubt!;
    };
    const doubt = drawn('7');
    expect(doubt).toMatchObject({ draws: 5000, seed: 7 });
    const { keep, clean, recondition, replace } = doubt.parts.bar!;
    expect(keep + clean + recondition + replace).toBeCloseTo(1, 9);
    expect(recondition).toBeGreaterThan(0.9);
    expect(drawn('7')).toEqual(doubt);
    expect(serrata(['assess', sheet, '--draws', 'many']).status).toBe(2);
    expect(serrata(['assess', sheet]).stdout).not.toContain('"draws"');
  });

  it('assesses many sheets, one a line and in order; a line that cannot be read stops no other', () => {
    const [first, second] = [DEMO_SHEETS['L-0417'], DEMO_SHEETS['L-0418']].map((each) => JSON.stringify(each));
    const { status, stdout, stderr } = serrata(
      ['assess', '-', '--lines'],
      [first, '{"format":1}', '', second].join('\n'),
    );
    expect(status).toBe(2);
    expect(stderr).toContain('1 of 4 lines cannot be read');
    const lines = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(lines).toHaveLength(3);
    expect(assessmentSchema.parse(lines[0]).verdicts.bar.action).toBe('recondition');
    expect(lines[1]).toMatchObject({ line: 2, problems: expect.arrayContaining([expect.stringContaining('format')]) });
    expect(assessmentSchema.parse(lines[2]).verdicts.bar.action).toBe('replace');
    const alone = assessmentSchema.parse(JSON.parse(serrata(['assess', '-'], second).stdout));
    expect(lines[2]).toEqual(JSON.parse(JSON.stringify(alone)));
  });

  it('answers lines as they come, and refuses what does not go with them', () => {
    const all = serrata(['assess', '-', '--lines'], `${JSON.stringify(DEMO_SHEETS['L-0417'])}\n`);
    expect({ status: all.status, stderr: all.stderr }).toEqual({ status: 0, stderr: '' });
    expect(serrata(['assess', '-', '--lines', '--text']).status).toBe(2);
    expect(serrata(['assess', '/nowhere', '--lines'])).toMatchObject({ status: 2, stdout: '' });
  });

  it('assesses an almost empty sheet', () => {
    const { status, stdout } = serrata(['assess', '-'], '{"format":"serrata-bench-sheet","version":1}');
    expect(status).toBe(0);
    const assessment = assessmentSchema.parse(JSON.parse(stdout));
    expect(Object.values(assessment.verdicts).map(({ action }) => action)).toEqual([
      'undecided',
      'undecided',
      'undecided',
      'undecided',
    ]);
    expect(assessment.order).toBeUndefined();
  });

  it('uses the shop’s limits, as a file or as plain changes', () => {
    const limits = JSON.parse(serrata(['limits']).stdout) as { limits: Record<string, { value: number }> };
    limits.limits['bar.depth.325']!.value = 9;
    for (const given of [limits, { 'bar.depth.325': '9 mm' }]) {
      const { stdout } = serrata(['assess', sheet, '--limits', file('limits.json', given)]);
      expect(assessmentSchema.parse(JSON.parse(stdout)).verdicts.bar).toMatchObject({
        action: 'replace',
        decidedBy: 'bar.depth',
      });
    }
  });

  it('names the parts in stock that answer the order', () => {
    const stock = file(
      'stock.csv',
      'sku,kind,name,pitch,gauge,driveLinks,kickbackClass,quantity\nA1,chain,A,325,.050,72,low-kickback,2\nA2,chain,B,325,.050,72,standard,2\n',
    );
    const { stock: answers } = assessmentSchema.parse(JSON.parse(serrata(['assess', sheet, '--stock', stock]).stdout));
    expect(answers).toEqual([
      { sku: 'A1', fits: true, why: [] },
      { sku: 'A2', fits: false, why: ['would step up from low-kickback'] },
    ]);
  });

  it.each([
    ['no file', ['assess', join(folder, 'nothing.json')], '', /cannot be read \(ENOENT\)/],
    ['no JSON', ['assess', '-'], '{', /not JSON/],
    [
      'wrong readings',
      ['assess', '-'],
      '{"format":"serrata-bench-sheet","version":1,"bar":{"thickness":"five","colour":1}}',
      /^bar\.thickness: “five” is not a length.*\nbar\.colour: unknown key/,
    ],
    [
      'no limit of that name',
      ['assess', sheet, '--limits', file('bad.json', { 'bar.dept': 3 })],
      '',
      /bar\.dept: there is no such limit/,
    ],
    ['a bad stock list', ['assess', sheet, '--stock', file('bad.csv', 'a,b\n1,2')], '', /line 1, sku/],
    ['no such command', ['judge'], '', /unknown command/],
    ['no such schema', ['schema', 'moon'], '', /Allowed choices/],
  ])('exits 2 on %s and says where', (_name, args, input, message) => {
    const { status, stdout, stderr } = serrata(args, input);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(message);
  });
});

describe('serrata plan', () => {
  const stock = file(
    'plan-stock.csv',
    'sku,kind,name,pitch,gauge,driveLinks,kickbackClass,mount,oilHole,listedInches,teeth,quantity,minimum,price\n' +
      'C-1,chain,Chain,325,.050,72,low-kickback,,,,,2,0,17.90\nB-1,bar,Bar,325,.050,72,,M2,,18,,1,0,54.90\nS-1,drive-sprocket,Rim,325,,,,,,,7,1,0,7.40\n',
  );
  const planned = (...args: string[]) => plansSchema.parse(JSON.parse(serrata(['plan', sheet, ...args]).stdout));

  it('prints plans that its own schema accepts, the cheapest today first', () => {
    const { plans, ruledOut } = planned('--stock', stock);
    expect(plans[0]).toMatchObject({
      parts: { bar: 'recondition', chain: 'keep', driveSprocket: 'keep', nose: 'keep' },
      skus: [],
      named: expect.arrayContaining(['least-today']),
    });
    expect(plans.find(({ named }) => named.includes('fresh-set'))?.skus.sort()).toEqual(['B-1', 'C-1', 'S-1']);
    expect(ruledOut['part-needs-work']).toBeGreaterThan(0);
  });

  it('goes by the rates it is given, and says the same for people', () => {
    const [usual, dear] = [planned(), planned('--rates', file('rates.json', { 'plan.labour': 8400 }))];
    expect(dear.plans[0]!.costToday).toBeGreaterThan(usual.plans[0]!.costToday);
    expect(serrata(['plan', sheet, '--text']).stdout).toMatch(/^Least today, Least per hour: €/);
    const { status, stderr } = serrata(['plan', sheet, '--rates', file('odd.json', { 'plan.nothing': 1 })]);
    expect([status, stderr]).toEqual([2, expect.stringContaining('plan.nothing')]);
  });
});

describe('serrata handover', () => {
  it('prints a hand-over that its own schema accepts, with the very sheet it was made of', () => {
    const { status, stdout } = serrata(['handover', sheet, '--on', '2026-11-26']);
    expect(status).toBe(0);
    const document = JSON.parse(stdout) as HandOverDocument;
    handOverSchema.parse(document);
    expect(document.sheet).toEqual(DEMO_SHEETS['L-0417']);
    expect(document.nextVisit).toMatchObject({ on: '2026-12-28', days: 32 });
    expect(document.advice.map(({ code }) => code)).toContain('turn-over');
  });

  it('wants a day, and says so', () => {
    expect(serrata(['handover', sheet, '--on', 'soon'])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('2026-11-26'),
    });
  });
});

describe('the formats', () => {
  it.each(SCHEMA_NAMES)('docs/formats/%s.schema.json is what the code says (npm run formats writes it)', (name) => {
    expect(JSON.parse(readFileSync(`docs/formats/${name}.schema.json`, 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(jsonSchema(name))),
    );
  });

  it('are printed by the command', () => {
    expect(JSON.parse(serrata(['schema', 'bench-sheet']).stdout)).toEqual(
      JSON.parse(JSON.stringify(jsonSchema('bench-sheet'))),
    );
  });
});

describe('serrata card and picture', () => {
  it('write the card once, and never over a file that is there', () => {
    const path = join(folder, 'card.pdf');
    expect(serrata(['card', '--out', path, '--paper', 'letter']).status).toBe(0);
    expect(readFileSync(path).subarray(0, 5).toString()).toBe('%PDF-');
    const again = serrata(['card', '--out', path]);
    expect([again.status, again.stderr]).toEqual([2, expect.stringContaining('not there yet')]);
  });

  it('refuse what is no picture, and what is no place or length', () => {
    const { status, stderr } = serrata(['picture', sheet, '--json']);
    expect([status, stderr]).toEqual([2, expect.stringContaining('is no picture')]);
    for (const wrong of [
      ['--points', '1,2;x'],
      ['--card-scale', '-3'],
      ['--find', 'teeth'],
    ])
      expect(serrata(['picture', sheet, ...wrong]).status).toBe(2);
  });

  it('print a document that the schema accepts', async () => {
    const path = join(folder, 'chain.jpg');
    const piece = { x: 0, y: 6, turn: 0.1, pitch: 8.28, width: 0.483, rivets: 9, lift: 3, head: 205 };
    writeFileSync(path, await taken({ on: 'A5', things: chainPiece(piece), seed: 2, blur: 0.7, noise: 2 }));
    const { status, stdout, stderr } = serrata(['picture', path, '--find', 'rivets', '--card-scale', '100', '--json']);
    expect({ status, stderr }).toEqual({ status: 0, stderr: '' });
    const { readings, card, refused } = pictureSchema.parse(JSON.parse(stdout));
    expect([refused, card?.kind, readings[1]?.value]).toEqual([null, 'A5', 9]);
    expect(Math.abs(readings[0]!.value - 8.28)).toBeLessThan(0.04);
  }, 60_000);
});

describe('serrata verify', () => {
  const store = join(folder, 'shop.db');

  it('says that all records are as they were written, and which is not, with its exit code', () => {
    copyFileSync(inject('prepared').demo, store);
    const whole = serrata(['verify', store]);
    expect(whole).toMatchObject({ status: 0, stderr: '' });
    expect(whole.stdout).toMatch(/^All \d+ records are as they were written\.\n.*has the code \d+(-\w{4}){3}\.\n$/);
    const changed = new Database(store);
    changed.exec("DROP TRIGGER reading_never_changes; UPDATE reading SET text = '1' WHERE seq = 7");
    changed.close();
    const unfit = serrata(['verify', store]);
    expect(unfit.status).toBe(1);
    expect(unfit.stdout).toMatch(/One thing .*\n {2}Record \d+, a reading \(reading 7\), is not what it was/);
  });

  it('says that the chain is gone where all its links were taken away', () => {
    const bare = join(folder, 'bare.db');
    copyFileSync(inject('prepared').demo, bare);
    const store = new Database(bare);
    store.exec('DROP TRIGGER chain_link_never_goes; DELETE FROM chain_link');
    store.close();
    const { status, stdout } = serrata(['verify', bare]);
    expect(status).toBe(1);
    expect(stdout).toContain('The chain of records is gone.');
  });

  it('refuses what is no store with a sentence', () => {
    for (const path of [join(folder, 'nowhere.db'), sheet]) {
      const { status, stderr } = serrata(['verify', path]);
      expect(status).toBe(2);
      expect(stderr).toMatch(/There is no file|has no chain of records/);
    }
  });
});
