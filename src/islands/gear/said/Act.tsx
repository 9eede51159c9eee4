import { useState, type ReactNode } from 'react';
import { Dialog } from '../../../ui/parts/Dialog';

interface ActProps {
  /** What is done, on the button and over the form. */
  readonly name: string;
  readonly children: ReactNode;
}

/** A button that opens the form of what may be said. */
export function Act({ name, children }: ActProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="quiet" onClick={() => setOpen(true)}>
        {name}
      </button>
      <Dialog title={name} open={open} onClose={() => setOpen(false)}>
        {children}
      </Dialog>
    </>
  );
}
