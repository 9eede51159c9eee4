import { useId, type KeyboardEvent } from 'react';
import type { ReadingPath } from '../../../core/sheet';
import { walkOn } from '../../frame/focus';
import { useFrame } from '../../frame/frame-context';
import { writtenBy } from '../../caliper/field';
import { useField } from '../store/useField';
import { TOOL_KEY } from '../tools/tool-in-hand';
import { ReadWith } from './ReadWith';
import { TypesHere } from '../others/TypesHere';
import { Conflict } from './Conflict';

interface EntryFieldProps {
  readonly path: ReadingPath;
  readonly label: string;
  /** Shown behind the field; `unit` stands for the unit of the screen. */
  readonly suffix?: string | 'unit';
  readonly hint?: string;
  readonly placeholder?: string;
  readonly wide?: boolean;
  /** True where the label stands in a table's heading already: it is only read out. */
  readonly bare?: boolean;
  /** Enter was pressed; true where what stands there can be used. */
  readonly onEnter?: (accepted: boolean) => void;
}

/** A labelled field of the sheet. Enter or leaving enters what was typed; a wrong entry stays with its reason. */
export function EntryField({
  path,
  label,
  suffix,
  hint,
  placeholder,
  wide = false,
  bare = false,
  onEnter,
}: EntryFieldProps) {
  const field = useField(path);
  const { unit } = useFrame();
  const id = useId();
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === TOOL_KEY && field.cycleTool()) event.preventDefault();
    if (event.key !== 'Enter') return;
    event.preventDefault();
    field.enter();
    if (onEnter) onEnter(field.isRight());
    else if (field.isRight()) walkOn(event.currentTarget);
  };
  return (
    // A place that was contradicted takes the row: both texts and the choice need room.
    <div className={`grid min-w-0 content-start gap-1 ${wide || field.conflict ? 'col-span-full' : ''}`}>
      <label id={`${id}-label`} htmlFor={id} className={bare ? 'sr-only' : 'text-sm font-semibold text-ink-soft'}>
        {label}
      </label>
      <div className="flex items-center gap-1.5">
        <input
          id={id}
          data-path={path}
          className={`entry w-full min-w-0 figures ${wide ? '' : 'max-w-36'}`}
          value={field.text}
          placeholder={placeholder && `e.g. ${placeholder}`}
          autoComplete="off"
          inputMode={suffix === 'unit' ? 'decimal' : 'text'}
          aria-invalid={field.refused !== null}
          aria-describedby={`${id}-say`}
          onChange={({ target }) => field.type(target.value, writtenBy(target))}
          onBlur={field.enter}
          onKeyDown={onKeyDown}
        />
        {suffix && !bare && <span className="figures text-sm text-ink-soft">{suffix === 'unit' ? unit : suffix}</span>}
      </div>
      {suffix === 'unit' && !bare && <ReadWith path={path} of={`${id}-label`} />}
      <p id={`${id}-say`} className={`text-sm ${field.refused ? 'font-semibold text-oxide' : 'text-ink-soft'}`}>
        {field.refused ?? hint}
      </p>
      <TypesHere path={path} />
      <Conflict field={field} />
    </div>
  );
}
