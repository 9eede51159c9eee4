import type { ReactNode } from 'react';
import { readingAt, type ReadingPath } from '../../../core/sheet';
import { fieldWords } from '../../../wording';
import { ChoiceField, ChoicesField } from './ChoiceField';
import { EntryField } from './EntryField';
import { PictureField } from './PictureField';

interface FieldProps {
  readonly path: ReadingPath;
  /** Said in the place of its own hint, where that hangs on more than the reading. */
  readonly hint?: string;
  /** A picture for each word, where it is chosen by what it looks like. */
  readonly pictures?: Readonly<Record<string, ReactNode>>;
  readonly wide?: boolean;
  /** Enter was pressed; true where what stands there can be used. */
  readonly onEnter?: (accepted: boolean) => void;
}

/**
 * The control of a reading, by what kind of reading it is: its name and hint stand in the wording, its words in the
 * catalogue.
 */
export function Field({ path, pictures, wide = false, onEnter, ...own }: FieldProps) {
  const { name, example, suffix, ...words } = fieldWords(path);
  const hint = own.hint ?? words.hint;
  const said = hint === undefined ? {} : { hint };
  if (pictures) return <PictureField path={path} legend={name} pictures={pictures} {...said} />;
  const kind = readingAt(path)?.kind.kind;
  if (kind === 'choice' || kind === 'yes-no') return <ChoiceField path={path} legend={name} {...said} />;
  if (kind === 'choices') return <ChoicesField path={path} legend={name} />;
  const behind = kind === 'length' ? 'unit' : suffix;
  return (
    <EntryField
      path={path}
      label={name}
      wide={wide}
      {...said}
      {...(behind === undefined ? {} : { suffix: behind })}
      {...(example === undefined ? {} : { placeholder: example })}
      {...(onEnter ? { onEnter } : {})}
    />
  );
}
