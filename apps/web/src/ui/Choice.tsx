import { RadioGroup } from 'radix-ui';

interface Option<T extends string> {
  value: T;
  label: string;
  /** Something is set there. */
  mark?: boolean;
}

/** A few words of which one is underlined: the program's way of choosing among little. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly Option<T>[];
  onChange(value: T): void;
}) {
  const choose = (next: string) => {
    const option = options.find(it => it.value === next);
    if (option) onChange(option.value);
  };
  return (
    <RadioGroup.Root
      aria-label={label}
      orientation="horizontal"
      value={value}
      onValueChange={choose}
      className="flex flex-wrap gap-x-3 gap-y-0.5"
    >
      {options.map(option => (
        <RadioGroup.Item
          key={option.value}
          value={option.value}
          // Choosing again what is chosen brings back what it stands for, such as a width that was dragged since.
          onClick={() => option.value === value && onChange(option.value)}
          className="border-b-[1.5px] border-transparent py-0.5 text-muted hover:text-ink data-[state=checked]:border-teal data-[state=checked]:font-semibold data-[state=checked]:text-teal"
        >
          {option.label}
          {option.mark && <span className="text-madder"> ·</span>}
          {option.mark && <span className="sr-only">, something is set here</span>}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
