import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

function beginInField(event: Event): void {
  const field = event.target instanceof HTMLElement ? event.target.querySelector('input, textarea') : null;
  if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement)) return;
  event.preventDefault();
  field.focus();
  field.select();
}

/** Something larger than a menu, laid over the station; Escape and a click beside it close it. */
export function Sheet({
  title,
  about,
  onClose,
  wide = false,
  asks = false,
  children,
  foot,
}: {
  title: string;
  /** One line below the title. */
  about?: string;
  onClose(): void;
  wide?: boolean;
  /** Begins in its first field, which is what it is for. */
  asks?: boolean;
  children: ReactNode;
  foot?: ReactNode;
}) {
  return (
    <Dialog.Root open onOpenChange={open => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/35" />
        <Dialog.Content
          {...(asks && { onOpenAutoFocus: beginInField })}
          {...(about === undefined && { 'aria-describedby': undefined })}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[92vh] -translate-x-1/2 -translate-y-1/2 flex-col rounded-md border border-hair bg-paper text-base text-ink shadow-xl ${wide ? 'w-[min(1120px,96vw)]' : 'w-[min(560px,94vw)]'}`}
        >
          <div className="flex items-baseline gap-3 border-b border-hair px-5 py-3">
            <Dialog.Title className="shrink-0 text-[15px] font-semibold">{title}</Dialog.Title>
            {about !== undefined && <Dialog.Description className="text-muted">{about}</Dialog.Description>}
            <Dialog.Close aria-label="Close" className="ml-auto rounded p-1 hover:bg-ground">
              <X size={15} />
            </Dialog.Close>
          </div>
          <div className="thin-scroll min-h-0 flex-1 overflow-auto px-5 py-4">{children}</div>
          {foot && (
            <div className="flex items-center justify-end gap-2 border-t border-hair px-5 py-3">{foot}</div>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
