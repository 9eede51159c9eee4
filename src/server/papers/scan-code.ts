import QRCode from 'qrcode';
import type { PaperDrawing } from '../../contract';

/** Light modules round the code, without which no reader finds it (ISO/IEC 18004). */
const QUIET = 4;

/** A code to scan, in its own modules: how many a side with the light ones round it, and the dark ones as a path. */
export function scanModules(address: string): { readonly side: number; readonly dark: string } {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
  const dark = [...modules.data].flatMap((isDark, i) =>
    isDark ? [`M${QUIET + (i % modules.size)} ${QUIET + Math.floor(i / modules.size)}h1v1h-1z`] : [],
  );
  return { side: modules.size + 2 * QUIET, dark: dark.join('') };
}

/** A code to scan that says an address, drawn in its own modules. */
export function scanCode(address: string, said: string): PaperDrawing {
  const { side, dark } = scanModules(address);
  return {
    width: side,
    height: side,
    share: 0.72,
    said,
    shapes: [
      { is: 'path', d: `M0 0h${side}v${side}h-${side}z`, fill: 'ground' },
      { is: 'path', d: dark, fill: 'code' },
    ],
  };
}
