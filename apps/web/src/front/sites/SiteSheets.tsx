import type { SiteSummary } from '../../api/types.ts';
import { Field, Form } from '../../forms/Form.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import type { SiteCare } from './useSiteCare.ts';
import { WORDS } from './words.ts';

interface Named {
  name: string;
}

/** What is asked before a site is altered as a whole. */
export type Asked = 'rename' | 'duplicate' | 'remove';

const RULES = {
  validate: (name: string) => name.trim() !== '' || WORDS.nameMissing,
  maxLength: { value: 80, message: WORDS.nameTooLong },
} as const;

/** Asks for what a deed needs: a name, or the name once more. */
export function SiteSheet({
  site,
  asked,
  care,
  onClose,
}: {
  site: SiteSummary;
  asked: Asked;
  care: SiteCare;
  onClose(): void;
}) {
  const SHEETS = {
    rename: {
      title: WORDS.renameTitle(site),
      about: WORDS.renameAbout,
      submit: WORDS.renameSubmit,
      label: WORDS.name,
      start: site.name,
      rules: RULES,
      send: (name: string) => care.rename(site, name),
    },
    duplicate: {
      title: WORDS.duplicateTitle(site),
      about: WORDS.duplicateAbout,
      submit: WORDS.duplicateSubmit,
      label: WORDS.name,
      start: WORDS.copyName(site),
      rules: RULES,
      send: (name: string) => care.duplicate(site, name),
    },
    remove: {
      title: WORDS.removeTitle(site),
      about: WORDS.removeAbout(site),
      submit: WORDS.removeSubmit,
      label: WORDS.removeConfirm(site),
      start: '',
      rules: { validate: (name: string) => name.trim() === site.name.trim() || WORDS.removeMismatch(site) },
      send: () => care.remove(site),
    },
  } as const;
  const { title, about, submit, label, start, rules, send } = SHEETS[asked];
  return (
    <Sheet title={title} asks onClose={onClose}>
      <p className="mb-3 text-muted">{about}</p>
      <Form<Named>
        submit={submit}
        start={{ name: start }}
        send={async ({ name }) => {
          await send(name.trim());
          onClose();
        }}
      >
        <Field<Named> name="name" label={label} rules={rules} autoComplete="off" />
      </Form>
    </Sheet>
  );
}
