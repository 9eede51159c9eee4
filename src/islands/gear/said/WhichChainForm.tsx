import { pieceId } from '../../../core/life';
import type { PieceLine } from '../../../contract';
import { useFrame } from '../../frame/frame-context';
import { Form, Refusal, SelectField, SendButton, useSentForm } from '../../frame/form';
import { chainText } from '../words';
import { useSay } from './say';
import * as texts from '#language/screens/gear';

interface WhichChainFormProps {
  readonly jobId: string;
  /** The chain that it is held to have come with. */
  readonly chain: string;
  readonly turning: readonly PieceLine[];
}

/** Which of the chains that go in turn a job came with, or that it was none of them. */
export function WhichChainForm({ jobId, chain, turning }: WhichChainFormProps) {
  const { shop } = useFrame();
  const say = useSay();
  const itself = pieceId('chain', { how: 'found', jobId });
  const options = turning.map((each) => [each.id, chainText(each, shop)] as const);
  const form = useSentForm({
    start: { piece: chain },
    send: ({ piece }) => say({ say: 'chain-told', jobId, piece }),
    otherwise: texts.itWasNotSaved,
  });
  return (
    <Form form={form}>
      <SelectField
        form={form}
        name="piece"
        label={texts.chainItCameWith}
        options={options.some(([id]) => id === itself) ? options : [...options, [itself, texts.noneOfThem]]}
      />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {texts.save}
      </SendButton>
    </Form>
  );
}
