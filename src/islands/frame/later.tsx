import { createElement, useEffect, useSyncExternalStore, type ComponentType } from 'react';
import * as texts from '#language/screens/frame';

type State = 'fetching' | 'failed';

/** A view whose code is fetched when it is first shown, and can be fetched ahead. */
export interface Later<P extends object> {
  readonly View: ComponentType<P>;
  readonly fetch: () => Promise<void>;
}

/**
 * A view that is fetched when it is opened, and drawn by the browser alone: a page arrives with its verdict, and with
 * room for the instrument, which could not be worked before its code is there.
 * @param load imports the view
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): Later<P> {
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
  const onServer = () => 'fetching' as const;
  function View(props: P) {
    const Found = useSyncExternalStore<ComponentType<P> | State>(subscribe, now, onServer);
    useEffect(() => void fetch(), []);
    return typeof Found === 'string' ? (
      <NotHere state={Found} onAgain={() => void fetch()} />
    ) : (
      createElement(Found, props)
    );
  }
  return { View, fetch };
}

type ViewFiles<P extends object> = Readonly<Record<string, () => Promise<{ readonly default: ComponentType<P> }>>>;

/**
 * Views of which each has a file of its own, named like it.
 * @param files what `import.meta.glob('./*.tsx')` gives for their folder
 */
export function laterEach<Name extends string, P extends object>(
  names: readonly Name[],
  files: ViewFiles<P>,
): Readonly<Record<Name, Later<P>>> {
  const loaderOf = (name: Name) => async () => (await files[`./${name}.tsx`]!()).default;
  return Object.fromEntries(names.map((name) => [name, later(loaderOf(name))])) as Record<Name, Later<P>>;
}

/** What is drawn of each. */
export const viewsOf = <Name extends string, P extends object>(
  views: Readonly<Record<Name, Later<P>>>,
): Readonly<Record<Name, ComponentType<P>>> =>
  Object.fromEntries(Object.entries<Later<P>>(views).map(([name, { View }]) => [name, View])) as Record<
    Name,
    ComponentType<P>
  >;

function NotHere({ state, onAgain }: { state: State; onAgain: () => void }) {
  if (state === 'fetching') return <p className="unhurried py-3 text-ink-soft">{texts.fetchingThisView}</p>;
  return (
    <p role="alert" className="py-3">
      {texts.viewNotFetched}{' '}
      <button type="button" className="underline" onClick={onAgain}>
        {texts.tryAgain}
      </button>
    </p>
  );
}
