import { describe, expect, it } from 'vitest';
import { auditSays } from './index';

describe('a reading in the audit', () => {
  const read = (path: string, text: string, unit: string) => auditSays('reading', { path, text, unit });

  it('says a length in the unit it was typed in, once', () => {
    expect(read('chain.driveLinkThickness', '1.48', 'mm')).toMatch(/: 1\.48 mm\.$/);
    expect(read('chain.driveLinkThickness', '.058"', 'mm')).toMatch(/: \.058"\.$/);
    expect(read('chain.driveLinkThickness', '1.5 mm', 'mm')).toMatch(/: 1\.5 mm\.$/);
  });

  it('says nothing of a unit where there is none, and that a reading was taken away', () => {
    expect(read('intake.complaint', 'slow, and dull', 'mm')).toMatch(/: slow, and dull\.$/);
    expect(read('chain.driveLinkThickness', '', 'mm')).toMatch(/: taken away\.$/);
  });
});
