import { describe, expect, it } from 'vitest';
import { isSameName } from './same-name';

describe('names', () => {
  it('are the same whatever their capitals, also beyond ASCII and however accents are coded', () => {
    expect(isSameName(' weir WARDENS', 'Weir wardens')).toBe(true);
    expect(isSameName('ünal', 'Ünal')).toBe(true);
    expect(isSameName('U\u0308nal', 'ünal')).toBe(true);
    expect(isSameName('Unal', 'Ünal')).toBe(false);
    expect(isSameName('Weir warden', 'Weir wardens')).toBe(false);
  });
});
