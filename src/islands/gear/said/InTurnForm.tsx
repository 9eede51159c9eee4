import type { PieceLine } from '../../../contract';
import { marksText } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { CheckField, Form, Refusal, SendButton, useSentForm } from '../../frame/form';
import { chainText } from '../words';
import { useSay } from './say';
import * as texts from '#language/screens/gear';

/** Which chains of a saw go in turn; with fewer than two none do. */
export function InTurnForm({ sawId, chains }: { sawId: string; chains: readonly PieceLine[] }) {
  const { shop } = useFrame();
  const say = useSay();
  const form = useSentForm({
    start: { chains: chains.map(({ ended, turns }) => !ended && turns > 1) },
    send: async ({ chains: chosen }) => {
      const pieces = chains.filter((_, i) => chosen[i]).map(({ id }) => id);
      await say({ say: 'chains-in-turn', sawId, pieces: pieces.length < 2 ? [] : pieces });
    },
    otherwise: texts.itWasNotSaved,
  });
  return (
    <Form form={form}>
      <p>{texts.inTurnMeans}</p>
      <fieldset>
        <legend className="font-semibold">{texts.chainsThatGoInTurn}</legend>
        {chains.map((chain, i) => (
          <CheckField
            key={chain.id}
            form={form}
            name={`chains.${i}`}
            label={[chainText(chain, shop), marksText(chain.marks), chain.ended && texts.heldToBeGone]
              .filter(Boolean)
              .join(' · ')}
          />
        ))}
      </fieldset>
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {texts.save}
      </SendButton>
    </Form>
  );
}
