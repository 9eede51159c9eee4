import type { ReactNode } from 'react';
import type { ReadingPath } from '../../../core/sheet';
import { PictureChoice } from '../../../ui/parts/PictureChoice';
import { choicesAt } from '../../../wording';
import { useField } from '../store/useField';
import { Conflict } from './Conflict';

interface PictureFieldProps {
  readonly path: ReadingPath;
  readonly legend: string;
  /** A picture for each word. */
  readonly pictures: Readonly<Record<string, ReactNode>>;
  readonly hint?: string;
}

/** One of a few words by what it looks like, stored by one tap. */
export function PictureField({ path, legend, pictures, hint }: PictureFieldProps) {
  const field = useField(path);
  return (
    <div data-path={path}>
      <PictureChoice
        legend={legend}
        options={choicesAt(path).map(({ value, label }) => ({ value, label, picture: pictures[value] }))}
        value={field.text}
        onChoose={field.set}
        {...(hint ? { hint } : {})}
      />
      <Conflict field={field} />
    </div>
  );
}
