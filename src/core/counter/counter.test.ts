import { describe, expect, it } from 'vitest';
import { searchStock } from '../stock';
import { sheetFromEntries, type Entry } from '../sheet';
import { DEMO_STOCK } from '../../data/demo';
import { learnedCode } from '../../../tests/support/learned-code';
import { answerCounter } from './index';

const ask = (said: Record<string, string>, kind: Parameters<typeof answerCounter>[1] = 'chain', inHand = false) => {
  const entries = Object.entries(said).map(([path, text]): Entry => ({ path, text, unit: 'mm' }));
  return answerCounter(sheetFromEntries(entries).sheet, kind, inHand);
};
const codes = (answer: ReturnType<typeof ask>) => answer.cautions.map(({ code }) => code);

describe('the counter', () => {
  it('knows nothing of an 18 inch bar, names the usual loops as plausible only, and asks for the stamp', () => {
    const answer = ask({ 'bar.listedLength': '18 in' });
    expect(answer.numbers.pitch.status).toBe('unknown');
    expect(answer.question).toMatchObject({ asks: 'bar.stamp', settles: 'pitch' });
    expect(codes(answer)).toEqual(['usual-loops']);
    expect(searchStock(answer.need, DEMO_STOCK)).toEqual([]);
  });

  it('goes from a stamp to who runs the saw, to the count, to nothing left', () => {
    const stamped = { 'bar.stamp': '18 in 325 .050 72DL' };
    expect(ask(stamped).question).toMatchObject({ asks: 'job.operatorTrained', settles: 'class' });
    // Pitch and gauge stand on the one stamp: that sells, and says what confirms it.
    expect(codes(ask(stamped))).toEqual([
      'on-one-mark',
      'on-one-mark',
      'count-before-handing-over',
      'sequence-not-counted',
    ]);
    const untrained = { ...stamped, 'job.operatorTrained': 'no' };
    expect(ask(untrained).question).toMatchObject({ asks: 'chain.driveLinks' });
    const counted = { ...untrained, 'chain.driveLinks.0': '72', 'chain.driveLinks.1': '72' };
    expect(ask(counted).question).toBeNull();
    expect(codes(ask({ ...counted, 'chain.cutters': '36' }))).toEqual(['on-one-mark', 'on-one-mark']);
    const [first] = searchStock(ask(counted).need, DEMO_STOCK);
    expect(first).toMatchObject({ answer: 'fits', part: { pitch: '325', kickbackClass: 'low-kickback' } });
  });

  it('asks a trained caller which class the old chain was', () => {
    const said = { 'bar.stamp': '325 .050 72DL', 'job.operatorTrained': 'yes' };
    expect(ask(said).question).toMatchObject({ asks: 'chain.kickbackClass' });
    expect(ask({ ...said, 'chain.kickbackClass': 'low-kickback' }).need.kickbackClass).toBe('low-kickback');
  });

  it('steps up from low-kickback only with a reason on record', () => {
    const said = { 'bar.stamp': '325 .050 72DL', 'job.operatorTrained': 'no' };
    expect(ask(said).need.kickbackClass).toBe('low-kickback');
    expect(ask({ ...said, 'job.kickbackChoice': 'climber with papers' }).need.kickbackClass).toBe('standard');
  });

  it('leaves an unmarked 3/8 open and asks for its build', () => {
    const answer = ask({ 'bar.stamp': '3/8 .050 56DL' });
    expect([...answer.numbers.pitch.values].sort()).toEqual(['38', '38lp']);
    expect(answer.question).toMatchObject({ asks: 'chain.chassis' });
    expect(codes(answer)).toContain('build-open');
    expect(searchStock(answer.need, DEMO_STOCK).every(({ answer: fits }) => fits !== 'fits')).toBe(true);
    expect(ask({ 'bar.stamp': '3/8 .050 56DL', 'chain.chassis': 'small' }).numbers.pitch.values).toEqual(['38lp']);
  });

  it('sees a bar and a chain that do not belong together, and sells nothing on that', () => {
    const answer = ask({ 'bar.stamp': '325 .050 72DL', 'chain.stamp': '.325 .058' });
    expect(answer.numbers.gauge.status).toBe('conflict');
    expect(codes(answer)).toContain('clash');
    expect(searchStock(answer.need, DEMO_STOCK).every(({ answer: fits }) => fits !== 'fits')).toBe(true);
  });

  it('with the chain in hand asks for what settles most a minute', () => {
    expect(ask({}, 'chain', true).question).toMatchObject({ asks: 'chain.span', settles: 'pitch' });
    expect(ask({ 'chain.span.rivets': '11', 'chain.span.length': '82.7' }, 'chain', true).question).toMatchObject({
      asks: 'chain.driveLinkThickness',
      settles: 'gauge',
    });
  });

  it('sells a bar by its mount first, and a sprocket by its pitch', () => {
    expect(ask({ 'bar.stamp': '325 .050 72DL' }, 'bar').question).toMatchObject({ asks: 'saw.mount' });
    const bar = ask({ 'bar.stamp': '325 .050 72DL', 'saw.mount': 'M2' }, 'bar');
    expect(searchStock(bar.need, DEMO_STOCK)[0]).toMatchObject({ answer: 'fits', part: { kind: 'bar' } });
    const rim = ask({ 'driveSprocket.stamp': '325-7' }, 'drive-sprocket');
    expect(searchStock(rim.need, DEMO_STOCK)[0]).toMatchObject({ part: { kind: 'drive-sprocket', pitch: '325' } });
  });

  it('sells by one count that agrees with the stamp, with the caution that it was one', () => {
    const once = { 'bar.stamp': '325 .050 72DL', 'job.operatorTrained': 'no', 'chain.driveLinks.0': '72' };
    expect(ask(once).question).toBeNull();
    expect(codes(ask(once))).toContain('counted-once');
    expect(codes(ask(once))).not.toContain('count-before-handing-over');
    const other = ask({ ...once, 'chain.driveLinks.0': '70' });
    expect(other.numbers.driveLinks.status).not.toBe('settled');
    expect(other.question).toMatchObject({ asks: 'chain.driveLinks' });
  });

  it('says why a length settles nothing, also one that no usual loop has', () => {
    expect(codes(ask({ 'bar.listedLength': '18 in' }))).toEqual(['usual-loops']);
    expect(codes(ask({ 'bar.listedLength': '39 in' }))).toEqual(['usual-loops']);
  });

  it('takes the sequence from the counts, and doubts one that they contradict', () => {
    const counted = {
      'bar.stamp': '325 .050 72DL',
      'job.operatorTrained': 'no',
      'chain.driveLinks.0': '72',
      'chain.driveLinks.1': '72',
      'chain.cutters': '24',
    };
    expect(ask(counted).need.sequence).toBe('full-skip');
    const ticked = ask({ ...counted, 'chain.sequence': 'full-complement' });
    expect(codes(ticked)).toContain('sequence-doubted');
    expect(ticked.numbers.driveLinks).toMatchObject({ status: 'settled', values: [72] });
    expect(ticked.need.sequence).toBe('full-skip');
  });

  it('asks of a drive sprocket its kind, then what it sits on', () => {
    const said = { 'driveSprocket.stamp': '325-7' };
    const asks = (more: Record<string, string>) => ask({ ...said, ...more }, 'drive-sprocket').question?.asks ?? null;
    // The pitch of a sprocket settles what it is sold by.
    const pitch = { 'bar.stamp': '325 .050 72DL' };
    expect(asks(pitch)).toBe('driveSprocket.type');
    expect(asks({ ...pitch, 'driveSprocket.type': 'rim' })).toBe('saw.splines');
    expect(asks({ ...pitch, 'driveSprocket.type': 'rim', 'saw.splines': '7' })).toBeNull();
    expect(asks({ ...pitch, 'driveSprocket.type': 'spur' })).toBe('driveSprocket.bore');
  });

  it('tells what takes the place of a code that is no longer sold', () => {
    const codes = [
      learnedCode({ code: '56K', pitch: '38lp', gauge: '.050', driveLinks: 56, replacedBy: 'LD-9050-56', note: '' }),
    ];
    const { sheet } = sheetFromEntries([{ path: 'chain.stamp', text: '56k', unit: 'mm' }]);
    const answer = answerCounter(sheet, 'chain', false, codes);
    expect(answer.cautions).toContainEqual({ code: 'replaced', text: '56K', by: 'LD-9050-56' });
    expect(answer.numbers.driveLinks.values).toEqual([56]);
  });
});
