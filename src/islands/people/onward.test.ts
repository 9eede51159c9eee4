import { describe, expect, it } from 'vitest';
import { onwardFrom } from './onward';

const at = (next: string) => onwardFrom({ origin: 'https://shop:1', search: `?${new URLSearchParams({ next })}` });

describe('once somebody is signed in', () => {
  it('they go on to where they were going', () => {
    expect(at('/jobs/j-1?step=bar')).toBe('/jobs/j-1?step=bar');
    expect(onwardFrom({ origin: 'https://shop:1', search: '' })).toBe('/');
  });

  it('nobody is led away from the shop, nor in a circle', () => {
    for (const next of [
      'https://evil.example/',
      '//evil.example',
      '/\\\\evil.example',
      'javascript:alert(1)',
      '/sign-in',
    ])
      expect(at(next), next).toMatch(/^\/($|[^/\\])/);
    expect(at('//evil.example/x')).toBe('/');
    expect(at('/sign-in?next=/shop')).toBe('/');
  });
});
