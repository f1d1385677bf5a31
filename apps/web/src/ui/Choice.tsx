/** A few words of which one is underlined: the program's way of choosing among little. */
export function Choice<T extends string>({ label, value, options, onChange }: { label: string; value: T; options: readonly { value: T; label: string; mark?: boolean }[]; onChange(value: T): void }) {
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-wrap gap-x-3 gap-y-0.5">
      {options.map((option, i) => {
        const chosen = option.value === value;
        return (
          <button
            key={option.value}
            type="button"
            role="radio"
            aria-checked={chosen}
            tabIndex={chosen ? 0 : -1}
            onClick={() => onChange(option.value)}
            onKeyDown={event => {
              const step = event.key === 'ArrowRight' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowLeft' || event.key === 'ArrowUp' ? -1 : 0;
              const next = options[(i + step + options.length) % options.length];
              if (step === 0 || !next) return;
              event.preventDefault();
              onChange(next.value);
              const sibling = event.currentTarget.parentElement?.children[options.indexOf(next)];
              if (sibling instanceof HTMLElement) sibling.focus();
            }}
            className={`border-b-[1.5px] py-0.5 ${chosen ? 'border-teal font-semibold text-teal' : 'border-transparent text-muted hover:text-ink'}`}
          >
            {option.label}
            {option.mark && <span className="text-madder" title="Something is set here"> ·</span>}
          </button>
        );
      })}
    </div>
  );
}
