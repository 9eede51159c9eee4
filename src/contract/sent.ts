/** How a view travels in its page, and how it is read there. */
interface Carried<View, Sent extends object> {
  readonly pack: (view: View) => Sent;
  readonly unpack: (sent: Sent) => View;
}

/**
 * A view that travels in its page as texts, which cost next to nothing to write into a page and to read out of it. The
 * server, which draws the page as well, draws from what it has in hand.
 */
export function carried<View extends object, Sent extends object>(
  encode: (view: View) => Sent,
  decode: (sent: Sent) => View,
): Carried<View, Sent> {
  const inHand = new WeakMap<Sent, View>();
  return {
    pack: (view) => {
      const sent = encode(view);
      inHand.set(sent, view);
      return sent;
    },
    unpack: (sent) => inHand.get(sent) ?? decode(sent),
  };
}

/** A view as its page carries it: as one text. */
export interface Sent<View extends object> {
  readonly json: string;
  /** Never there: it only tells what the text is of. */
  readonly of?: View;
}

const whole = carried<object, Sent<object>>(
  (view) => ({ json: JSON.stringify(view) }),
  ({ json }) => JSON.parse(json) as object,
);

/** Packs a view for its page. */
export const packView = <View extends object>(view: View): Sent<View> => whole.pack(view) as Sent<View>;

/** Unpacks what {@link packView} packed. */
export const unpackView = <View extends object>(sent: Sent<View>): View => whole.unpack(sent) as View;
