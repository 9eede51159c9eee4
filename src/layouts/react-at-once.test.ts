import { createElement } from 'react';
import { describe, expect, it, vi } from 'vitest';
import renderer from './react-at-once';

const draw = (island: () => ReturnType<typeof createElement>) =>
  renderer.renderToStaticMarkup.call({ result: {} }, island, {});

describe('islands drawn on the server', () => {
  it('come with the ids that the browser gives them', async () => {
    expect(await draw(() => createElement('p', null, 'drawn'))).toEqual({
      html: '<p>drawn</p>',
      attrs: { prefix: 'r0' },
    });
  });

  it('leave their place to the browser where they fail, and it is written down', async () => {
    const written = vi.spyOn(process.stderr, 'write').mockImplementation(() => true);
    const failing = () => {
      throw new Error('this island fails');
    };
    expect(await draw(failing)).toEqual({ html: '', attrs: { prefix: 'r0' } });
    // Where it failed, and not what it said: that may quote what somebody typed.
    const lines = written.mock.calls.flat().map(String).join('');
    expect(lines).toContain('react-at-once.test.ts');
    expect(lines).not.toContain('this island fails');
    written.mockRestore();
  });
});
