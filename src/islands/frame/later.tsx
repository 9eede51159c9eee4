import { createElement, useEffect, useSyncExternalStore, type ComponentType } from 'react';

type State = 'fetching' | 'failed';

/** A view whose code is fetched when it is first shown, and can be fetched ahead. */
export interface Later<P extends object> {
  readonly View: ComponentType<P>;
  readonly fetch: () => Promise<void>;
}

/**
 * A view that is fetched when it is opened. The server has it at hand, so that a page arrives with its view drawn; nothing is streamed behind, which would need a hole in
 * the page's policy for scripts.
 * @param load imports the view
 */
export async function later<P extends object>(load: () => Promise<ComponentType<P>>): Promise<Later<P>> {
  let here: ComponentType<P> | State = 'fetching';
  const listeners = new Set<() => void>();
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  };
  const say = (next: typeof here) => {
    here = next;
    for (const listener of listeners) listener();
  };
  const fetch = async () => {
    if (typeof here === 'function') return;
    await load().then(say, () => say('failed'));
  };
  const now = () => here;
  function View(props: P) {
    const Found = useSyncExternalStore(subscribe, now, now);
    useEffect(() => void fetch(), []);
    return typeof Found === 'string' ? (
      <NotHere state={Found} onAgain={() => void fetch()} />
    ) : (
      createElement(Found, props)
    );
  }
  if (import.meta.env.SSR) await fetch();
  return { View, fetch };
}

function NotHere({ state, onAgain }: { state: State; onAgain: () => void }) {
  if (state === 'fetching') return <p className="py-3 text-ink-soft">Fetching this view…</p>;
  return (
    <p role="alert" className="py-3">
      This view could not be fetched: the server cannot be reached. What was typed is kept.{' '}
      <button type="button" className="underline" onClick={onAgain}>
        Try again
      </button>
    </p>
  );
}
