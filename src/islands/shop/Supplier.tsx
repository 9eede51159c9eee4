import { useState } from 'react';
import type { SupplierMood } from '../../contract';
import { Choice } from '../../ui/parts/Choice';
import { Notice } from '../../ui/parts/Notice';
import { api } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { UNNAMED } from '../../wording';
import { useChangedHere } from '../frame/server-data';

const MOODS: readonly { readonly value: SupplierMood; readonly label: string }[] = [
  { value: 'usual', label: 'as usual' },
  { value: 'slow', label: 'very slow' },
  { value: 'late', label: 'late with orders' },
  { value: 'out-of-stock', label: 'out of stock' },
  { value: 'unreachable', label: 'not to be reached' },
];

/** The simulated supplier: how it behaves can be set, to see that the counter goes on without it. */
export function Supplier({ mood }: { mood: SupplierMood }) {
  const { who } = useFrame();
  const changedHere = useChangedHere();
  const [failed, setFailed] = useState(false);
  const choose = async (next: SupplierMood) => {
    try {
      await api.put('/api/supplier/mood', { by: who || UNNAMED, mood: next });
      await changedHere();
      setFailed(false);
    } catch {
      setFailed(true);
    }
  };
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">
        A stand-in that ships with Serrata. The counter asks it for price and delivery of what the shelf lacks. As usual
        it takes about a second, finds its shelf empty for some chains and is not to be reached for others; orders for a
        job it confirms with a day.
      </p>
      <Choice
        legend="The simulated supplier is"
        options={MOODS}
        value={mood}
        onChoose={(value) => void choose(MOODS.find((each) => each.value === value)?.value ?? 'usual')}
      />
      {failed && <Notice kind="error">It was not stored: the server cannot be reached.</Notice>}
    </>
  );
}
