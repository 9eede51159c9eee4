import { Form, Refusal, SendButton, TextField, useSentForm } from '../../frame/form';
import { useSay } from './say';
import * as texts from '#language/screens/gear';

/** The tag that stands on a piece. */
export function TagForm({ piece, tag: was }: { piece: string; tag: string }) {
  const say = useSay();
  const form = useSentForm({
    start: { tag: was },
    send: ({ tag }) => say({ say: 'piece-tagged', piece, tag: tag.trim() }),
    otherwise: texts.itWasNotSaved,
  });
  return (
    <Form form={form}>
      <TextField form={form} name="tag" label={texts.tagOnThePiece} maxLength={40} />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {texts.save}
      </SendButton>
    </Form>
  );
}
