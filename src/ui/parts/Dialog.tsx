import { useEffect, useRef, type ReactNode } from 'react';
import { X } from 'lucide-react';
import * as texts from '#language/screens/controls';

interface DialogProps {
  readonly title: string;
  readonly open: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/**
 * A modal sheet on the platform's own dialog: the first field has the focus, it is kept inside and given back, Escape
 * closes.
 */
export function Dialog({ title, open, onClose, children }: DialogProps) {
  const ref = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const dialog = ref.current;
    if (!dialog) return;
    if (open && !dialog.open) {
      dialog.showModal();
      dialog.querySelector<HTMLElement>('input, textarea, select')?.focus();
    }
    if (!open && dialog.open) dialog.close();
  }, [open]);
  return (
    <dialog
      ref={ref}
      onClose={onClose}
      aria-label={title}
      className="m-auto w-[min(42rem,94vw)] rounded-[4px] border border-line-strong bg-sheet p-0 text-ink shadow-xl"
    >
      {open && (
        <div className="p-5">
          <div className="mb-3 flex items-start justify-between gap-4">
            <h2 className="text-xl font-bold">{title}</h2>
            <button type="button" className="-mt-1 -mr-1 quiet px-3" onClick={onClose} aria-label={texts.close}>
              <X size={18} aria-hidden="true" />
            </button>
          </div>
          {children}
        </div>
      )}
    </dialog>
  );
}
