import { createElement, type ComponentType, type ReactElement } from 'react';
import { renderToString } from 'react-dom/server';
import { complained } from '../server/log';

/** How many islands of a page are drawn so far: each has ids of its own. */
const drawn = new WeakMap<object, number>();

function prefixOf(page: object): string {
  const count = drawn.get(page) ?? 0;
  drawn.set(page, count + 1);
  return `r${count}`;
}

/**
 * An island as it is drawn here; nothing where it fails: the rest of the page arrives all the same, and the browser draws
 * it, or says that it cannot (islands/frame/Trouble.tsx). A failure here would end the page in the middle.
 */
function drawnOr(island: ReactElement, identifierPrefix: string): string {
  try {
    return renderToString(island, { identifierPrefix });
  } catch (error) {
    complained(error);
    return '';
  }
}

/**
 * Draws the islands of a page on the server, each in one go: everything it shows is at hand, so nothing is waited for,
 * and no stream is written and read back for it.
 * The usual renderer of Astro's React integration also draws an island once more to see whether it is one of React's;
 * here all of them are.
 */
export default {
  name: '@astrojs/react',
  check: async () => true,
  async renderToStaticMarkup(
    this: { readonly result: object },
    Island: ComponentType<Record<string, unknown>>,
    props: Record<string, unknown>,
  ) {
    const prefix = prefixOf(this.result);
    return { html: drawnOr(createElement(Island, props), prefix), attrs: { prefix } };
  },
  supportsAstroStaticSlot: true,
};
