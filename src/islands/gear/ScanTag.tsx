import { useState } from 'react';
import { ScanLine } from 'lucide-react';
import { Notice } from '../../ui/parts/Notice';
import { placeOfCode } from './scanned';
import * as texts from '#language/screens/gear';

/**
 * A tag is scanned: a phone takes a picture of its code, which is read here, and the page that it names is opened. It
 * asks for a picture and no film, which phones give a page of the shop's own net, too.
 */
export function ScanTag() {
  const [said, setSaid] = useState<'reading' | 'nothing' | null>(null);
  const read = async (input: HTMLInputElement) => {
    const [file] = input.files ?? [];
    if (!file) return;
    setSaid('reading');
    const { codeIn } = await import('./scan');
    const found = await codeIn(file);
    input.value = '';
    if (found === null) setSaid('nothing');
    else window.location.assign(placeOfCode(found));
  };
  return (
    <div className="grid gap-1">
      <label className="flex quiet cursor-pointer items-center gap-2 has-focus-visible:outline-3 has-focus-visible:outline-steel max-md:min-h-[44px]">
        <ScanLine size={18} aria-hidden="true" />
        {said === 'reading' ? texts.readingTheCode : texts.scanATag}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={({ target }) => void read(target)}
        />
      </label>
      {said === 'nothing' && <Notice kind="error">{texts.noCodeInIt}</Notice>}
    </div>
  );
}
