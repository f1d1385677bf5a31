import { type ComponentProps, type ReactNode, useId } from 'react';
import {
  type DefaultValues,
  type FieldValues,
  FormProvider,
  type Path,
  type RegisterOptions,
  useForm,
  useFormContext,
} from 'react-hook-form';
import { problemText } from '../api/problemText.ts';
import { Button } from '../ui/Button.tsx';

/** A form that sends what was written, says what was wrong, and keeps what was typed. */
export function Form<T extends FieldValues>({
  send,
  submit,
  start,
  className = 'grid gap-3',
  children,
}: {
  send(values: T): Promise<unknown>;
  /** Words of its button. */
  submit: string;
  start: DefaultValues<T>;
  className?: string;
  children: ReactNode;
}) {
  const form = useForm<T>({ defaultValues: start });
  const { errors, isSubmitting } = form.formState;
  const onSubmit = form.handleSubmit(async values => {
    try {
      await send(values);
      form.reset(start);
    } catch (error) {
      form.setError('root', { message: problemText(error) });
    }
  });
  return (
    <FormProvider {...form}>
      <form onSubmit={event => void onSubmit(event)} className={className} noValidate>
        {children}
        {errors.root && (
          <p role="alert" className="text-madder">
            {errors.root.message}
          </p>
        )}
        <Button type="submit" kind="main" className="h-8! justify-self-start" disabled={isSubmitting}>
          {submit}
        </Button>
      </form>
    </FormProvider>
  );
}

/** One line of a form, with what is wrong with it below. */
export function Field<T extends FieldValues>({
  name,
  label,
  rules,
  ...props
}: { name: Path<T>; label: string; rules?: RegisterOptions<T, Path<T>> } & Omit<
  ComponentProps<'input'>,
  'name'
>) {
  const id = useId();
  const { register, formState } = useFormContext<T>();
  const message = formState.errors[name]?.message;
  return (
    <div>
      <label htmlFor={id} className="label-line mb-0.5 block">
        {label}
      </label>
      <input
        id={id}
        {...props}
        {...register(name, rules)}
        aria-invalid={message !== undefined}
        aria-describedby={message === undefined ? undefined : `${id}-problem`}
        className={`h-8 w-full rounded border bg-paper px-2 ${message === undefined ? 'border-hair' : 'border-madder'}`}
      />
      {typeof message === 'string' && (
        <p id={`${id}-problem`} role="alert" className="pt-0.5 text-small text-madder">
          {message}
        </p>
      )}
    </div>
  );
}

export const EMAIL = {
  required: 'Enter an email address.',
  pattern: { value: /^\S+@\S+\.\S+$/, message: 'Enter an email address.' },
} as const;
export const NAME = {
  required: 'Enter your name.',
  maxLength: { value: 80, message: 'Use at most 80 characters.' },
} as const;
export const NEW_PASSWORD = {
  required: 'Enter a password.',
  minLength: { value: 10, message: 'Use at least 10 characters.' },
} as const;
