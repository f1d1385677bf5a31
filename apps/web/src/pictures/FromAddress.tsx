import { useId, useState } from 'react';
import { Button } from '../ui/Button.tsx';

/** Adds a picture that lies at a web address. */
export function FromAddress({
  asked,
  onAdd,
}: {
  asked: string | null;
  /** Answers whether it came. */
  onAdd(address: string): Promise<boolean>;
}) {
  const id = useId();
  const [address, setAddress] = useState('');
  return (
    <form
      className="flex items-center gap-1"
      onSubmit={event => {
        event.preventDefault();
        void onAdd(address.trim()).then(came => came && setAddress(''));
      }}
    >
      <label htmlFor={id} className="shrink-0 text-muted">
        Web address
      </label>
      <input
        id={id}
        type="text"
        inputMode="url"
        value={address}
        maxLength={2000}
        onChange={event => setAddress(event.target.value)}
        placeholder="https://pictures.example/ferry-at-noon.jpg"
        className="h-7 min-w-0 flex-1 rounded border border-hair bg-transparent px-2"
      />
      <Button type="submit" kind="line" disabled={address.trim() === '' || asked !== null}>
        Add from there
      </Button>
    </form>
  );
}
