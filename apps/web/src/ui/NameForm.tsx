import { useState } from 'react';
import { Button } from './Button.tsx';

/** Asks for the name of something new, in its place; Escape leaves it. */
export function NameForm({
  label,
  submit,
  onName,
  onClose,
}: {
  label: string;
  submit: string;
  onName(name: string): void;
  onClose(): void;
}) {
  const [name, setName] = useState('');
  return (
    <form
      className="flex gap-1"
      onSubmit={event => {
        event.preventDefault();
        if (name.trim() !== '') onName(name.trim());
      }}
    >
      <input
        ref={element => element?.focus()}
        aria-label={label}
        value={name}
        maxLength={80}
        onChange={event => setName(event.target.value)}
        onKeyDown={event => event.key === 'Escape' && onClose()}
        className="h-7 min-w-0 flex-1 rounded border border-hair bg-paper px-2"
        placeholder="Its name"
      />
      <Button type="submit" kind="main" disabled={name.trim() === ''}>
        {submit}
      </Button>
    </form>
  );
}
