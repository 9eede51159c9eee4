import { Shops } from '../shops/Shops';

/** The shops that share this store. */
export default function ShopsOfStore() {
  return <Shops />;
}
