import { X } from 'lucide-react';

/** Removes a value: what stands nowhere has no thread in which that could be done. */
export const RemoveButton = ({ label, onClick }: { label: string; onClick(): void }) => (
  <button
    type="button"
    aria-label={`Remove ${label.toLowerCase()}`}
    className="flex size-6 items-center justify-center rounded-sm text-muted hover:text-teal"
    onClick={onClick}
  >
    <X size={13} aria-hidden />
  </button>
);
