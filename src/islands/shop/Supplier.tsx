import { useState } from 'react';
import type { SupplierMood } from '../../contract';
import { Choice } from '../../ui/parts/Choice';
import { Notice } from '../../ui/parts/Notice';
import { api } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { UNNAMED } from '../../wording';
import { useChangedHere } from '../frame/server-data';
import * as texts from '#language/screens/shop';

const MOODS: readonly { readonly value: SupplierMood; readonly label: string }[] = [
  { value: 'usual', label: texts.asUsual },
  { value: 'slow', label: texts.verySlow },
  { value: 'late', label: texts.lateWithOrders },
  { value: 'out-of-stock', label: texts.outOfStock },
  { value: 'unreachable', label: texts.notToBeReached },
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
      <p className="mb-3 max-w-prose text-ink-soft">{texts.aStandInThatShips}</p>
      <Choice
        legend={texts.simulatedSupplier}
        options={MOODS}
        value={mood}
        onChoose={(value) => void choose(MOODS.find((each) => each.value === value)?.value ?? 'usual')}
      />
      {failed && <Notice kind="error">{texts.notStoredUnreachable}</Notice>}
    </>
  );
}
