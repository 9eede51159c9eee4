import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, RequestFailed } from './api';
import { preferencesFrom, unitOn } from './preferences';
import { sentOnce } from './sent-once';

describe('preferences', () => {
  it('are read from the cookies, each with its default', () => {
    expect(preferencesFrom('')).toEqual({ unit: 'mm', isUnitChosen: false, bench: 'light', who: '' });
    expect(preferencesFrom('a=b; serrata-unit=in; serrata-bench=dark; serrata-who=In%C3%A8s%20H')).toEqual({
      unit: 'in',
      isUnitChosen: true,
      bench: 'dark',
      who: 'Inès H',
    });
    expect(preferencesFrom('serrata-unit=furlong; serrata-who=%E0%A4%A')).toEqual({
      unit: 'mm',
      isUnitChosen: false,
      bench: 'light',
      who: '',
    });
  });

  it('say the unit of a device, and where it chose none, the shop’s', () => {
    expect(unitOn(preferencesFrom(''), { unit: 'in' })).toBe('in');
    expect(unitOn(preferencesFrom('serrata-unit=mm'), { unit: 'in' })).toBe('mm');
    expect(unitOn(preferencesFrom('serrata-unit=in'), { unit: 'mm' })).toBe('in');
  });
});

describe('what is sent once', () => {
  it('keeps its id until it is answered, whatever else is sent; then the same is another', async () => {
    const lost = (id: string) => Promise.reject(new Error(id));
    const idOf = (asked: unknown) =>
      sentOnce(asked, lost).then(
        () => '',
        (error: unknown) => (error as Error).message,
      );
    const first = await idOf({ pieces: 1 });
    expect(await idOf({ pieces: 2 })).not.toBe(first);
    expect(await sentOnce({ pieces: 1 }, (id) => Promise.resolve(id))).toBe(first);
    expect(await idOf({ pieces: 1 })).not.toBe(first);
  });
});

describe('requests', () => {
  afterEach(() => void vi.unstubAllGlobals());
  const answer = (status: number, body: string) =>
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status })));

  it('give the reply', async () => {
    answer(200, '{"id":"x"}');
    expect(await api.post('/api/jobs', {})).toEqual({ id: 'x' });
  });

  it('fail with the server’s own sentence, and say whether trying again may help', async () => {
    answer(422, '{"code":"no","message":"Whose job is it?"}');
    await expect(api.put('/api/limits/x', {})).rejects.toMatchObject({
      message: 'Whose job is it?',
      status: 422,
      unreachable: false,
    });
    answer(502, '<html>');
    await expect(api.get('/api/x')).rejects.toMatchObject({ message: 'The server answered 502.', unreachable: true });
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no route')));
    await expect(api.get('/api/x')).rejects.toSatisfy((error) => error instanceof RequestFailed && error.unreachable);
  });
});
