import { useState, type ReactNode } from 'react';
import { useIsReader } from '../../frame/frame-context';
import { Dialog } from '../../../ui/parts/Dialog';

interface ActProps {
  /** What is done, on the button and over the form. */
  readonly name: string;
  /** What stands on the button, where many of them stand together and the name tells them apart. */
  readonly shown?: string;
  /** Whether it stands in a line of text, many times over. */
  readonly inLine?: boolean;
  readonly children: ReactNode;
}

/** A button that opens the form of what may be said. */
export function Act({ name, shown = name, inLine = false, children }: ActProps) {
  const [open, setOpen] = useState(false);
  // A reader sees, and says nothing.
  if (useIsReader()) return null;
  return (
    <>
      <button
        type="button"
        className={inLine ? 'min-h-8 underline max-md:min-h-[44px]' : 'quiet'}
        {...(shown === name ? {} : { 'aria-label': name })}
        onClick={() => setOpen(true)}
      >
        {shown}
      </button>
      <Dialog title={name} open={open} onClose={() => setOpen(false)}>
        {children}
      </Dialog>
    </>
  );
}
