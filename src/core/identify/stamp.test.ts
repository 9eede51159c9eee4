import { describe, expect, it } from 'vitest';
import { readStamp, type StampMeaning } from './index';

const short = (meaning: StampMeaning): string => {
  if (meaning.property === 'outOfScope') return meaning.what;
  if (meaning.property === 'listedLength') return `length ${meaning.value.toFixed(0)}`;
  if (meaning.property === 'teeth') return `${meaning.value} teeth`;
  if (meaning.property === 'driveLinks') return `${meaning.value}${meaning.marked ? '' : '?'}`;
  return meaning.value;
};
const read = (text: string) =>
  readStamp(text).tokens.map(({ text: piece, meanings }) => `${piece}=${meanings.map(short).join('|') || '-'}`);

describe('the stamp reader', () => {
  it.each([
    ['16 in 3/8 .050 1.3 56DL', ['16 in=length 406', '3/8=3/8', '.050=.050', '1.3=.050', '56DL=56']],
    ['.325 .058 1,5 64E', ['.325=325', '.058=.058', '1,5=.058', '64E=64']],
    ['325-7', ['325=325', '-7=7 teeth']],
    ['3/8 6T', ['3/8=3/8', '6T=6 teeth']],
    ['45cm 72', ['45cm=length 450', '72=72?']],
    ['18 in 325 .050 1.3 72DL', ['18 in=length 457', '325=325', '.050=.050', '1.3=.050', '72DL=72']],
    ['3/8LP .043', ['3/8LP=38lp', '.043=.043']],
    ['3/8 LP 1.1mm 52 DL', ['3/8 LP=38lp', '1.1mm=.043', '52 DL=52']],
    ['3/8P 050', ['3/8P=38lp', '050=.050']],
    ['1/4 .050 60 drive links', ['1/4=quarter', '.050=.050', '60 drive links=60']],
    ['20" .404 .063 #84', ['20"=length 508', '.404=404', '.063=.063', '#84=84']],
  ])('takes %s apart', (text, tokens) => {
    expect(read(text)).toEqual(tokens);
  });

  it('takes teeth as they are written, and as many as a sprocket has', () => {
    for (const text of ['-7', 'x7', '×7', '7T', '7 teeth', '7z', '-7T'])
      expect(read(text), text).toEqual([`${text}=7 teeth`]);
    expect(read('4T')).toEqual(['4T=4 teeth']);
    expect(read('20T')).toEqual(['20T=20 teeth']);
    for (const text of ['3T', '21T', '-0']) expect(read(text).join(), text).not.toContain('teeth');
  });

  it('takes a bare number for a length where bars are so long, in inches and in whole fives of centimetres', () => {
    for (const [text, length] of [
      ['6', 'length 152'],
      ['36', 'length 914'],
      ['15', 'length 150'],
      ['90', 'length 900'],
    ] as const)
      expect(read(text).join(), text).toContain(length);
    for (const text of ['5', '37', '85.5', '92', '95']) expect(read(text).join(), text).not.toContain('length');
  });

  it('leaves what may mean several things open', () => {
    expect(read('50')).toEqual(['50=.050|50?|length 500']);
    expect(read('63')).toEqual(['63=.063|63?']);
  });

  it('shows what it cannot read as unread', () => {
    expect(read('K7-Q 3/8')).toEqual(['K7-Q=-', '3/8=3/8']);
  });

  it('recognises harvester pitch and gauge', () => {
    expect(read('3/4 .080')).toEqual(['3/4=harvester-pitch', '.080=harvester-gauge']);
  });

  it('keeps where each piece stands', () => {
    const text = '  3/8  LP  .050';
    for (const { text: piece, start, end } of readStamp(text).tokens) expect(text.slice(start, end)).toBe(piece);
  });
});
