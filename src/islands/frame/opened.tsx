import { lazy, Suspense, useEffect, useRef, type ComponentType } from 'react';
import * as texts from '#language/screens/frame';

/** Takes the caret to the first field of a form that came after its dialog. */
function Arrived<P extends object>({ View, props }: { View: ComponentType<P>; props: P }) {
  const around = useRef<HTMLDivElement>(null);
  useEffect(() => around.current?.querySelector<HTMLElement>('input, textarea, select')?.focus(), []);
  return (
    <div ref={around}>
      <View {...props} />
    </div>
  );
}

/** A form with a way to fetch it before it is opened. */
export type Opened<P extends object> = ComponentType<P> & { readonly fetch: () => void };

/**
 * A form that is fetched when its dialog is about to be opened, so that pages stay light. Never drawn on the server,
 * where nothing may be streamed behind the page.
 * @param load imports the form
 */
export function opened<P extends object>(load: () => Promise<ComponentType<P>>): Opened<P> {
  const View = lazy(async () => {
    const Found = await load();
    return { default: (props: P) => <Arrived View={Found} props={props} /> };
  }) as unknown as ComponentType<P>;
  function Opened(props: P) {
    return (
      <Suspense fallback={<p className="py-3 text-ink-soft">{texts.fetchingThisForm}</p>}>
        <View {...props} />
      </Suspense>
    );
  }
  // One that cannot be had now is fetched again when it is opened.
  return Object.assign(Opened, { fetch: () => void load().catch(() => undefined) });
}
