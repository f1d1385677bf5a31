import { type Color, parseColor } from '@cove/core';
import { Pipette } from 'lucide-react';
import { toast } from 'sonner';
import { Button } from './Button.tsx';

interface Dropper {
  open(): Promise<{ sRGBHex: string }>;
}
declare global {
  interface Window {
    EyeDropper?: new () => Dropper;
  }
}

/** Takes a colour from the screen; nothing is shown where the browser has no eye dropper. */
export function EyeDropper({ onPick }: { onPick(color: Color): void }) {
  const Made = window.EyeDropper;
  if (!Made) return null;
  const pick = async () => {
    try {
      const color = parseColor((await new Made().open()).sRGBHex);
      if (color) onPick(color);
    } catch (error) {
      // Escape ends the choosing, and nothing is taken; one that is open already goes on.
      const ended = error instanceof DOMException && ['AbortError', 'InvalidStateError'].includes(error.name);
      if (!ended) toast.error('The browser returned no colour. Type it, or pick it in the plane.');
    }
  };
  return (
    <Button kind="line" className="h-6!" onClick={() => void pick()}>
      <Pipette size={13} aria-hidden /> From the screen
    </Button>
  );
}
