import { type ElementType, getRecord, type Id, nameOf, type Site, targetId } from '@cove/core';
import { ReachNote } from '../reach/ReachNote.tsx';
import { Choice } from '../ui/Choice.tsx';
import { PlaceChoice } from './PlaceChoice.tsx';
import type { ElementSubject, Subject } from './subject.ts';
import { VariantChoice } from './VariantChoice.tsx';
import { VariantDetails } from './VariantDetails.tsx';

/** Which rule of an element is set: of the element or of one variant, everywhere or in a place. */
export function ElementHead({
  site,
  subject,
  element,
  record,
  onSubject,
}: {
  site: Site;
  subject: ElementSubject;
  element: ElementType;
  record: Id;
  onSubject(subject: Subject): void;
}) {
  const { variants, target } = subject;
  const variant = target === null ? undefined : site.kinds.variant.get(target);
  return (
    <section className="grid gap-2 border-b border-hair px-3.5 py-2">
      <VariantChoice
        site={site}
        element={element}
        scheme={subject.scheme}
        variants={variants}
        onChoose={(id, all) => onSubject({ ...subject, variants: all, target: id ?? all.at(-1) ?? null })}
      />
      {variants.length > 0 && (
        <Choice
          label="Set on"
          value={target ?? 'default'}
          options={[
            { value: 'default', label: `Every ${element.label.toLowerCase()}` },
            ...variants.map(id => ({ value: id, label: `${nameOf(site, id)} only` })),
          ]}
          onChange={value => onSubject({ ...subject, target: value === 'default' ? null : value })}
        />
      )}
      {variant && (
        <VariantDetails
          key={variant.id}
          site={site}
          variant={variant}
          onOpen={id => {
            const others = variants.filter(it => it !== variant.id);
            onSubject({ ...subject, variants: id === null ? others : [...others, id], target: id });
          }}
        />
      )}
      <PlaceChoice
        site={site}
        place={subject.place ?? null}
        has={place =>
          getRecord(
            site,
            targetId(
              target === null
                ? { type: 'default', element: element.name, place }
                : { type: 'variantRule', variant: target, place },
            ),
          ) !== undefined
        }
        onChange={place => onSubject({ ...subject, place })}
      />
      {getRecord(site, record) ? (
        <ReachNote id={record} />
      ) : (
        <p className="text-muted">Nothing is set here yet.</p>
      )}
    </section>
  );
}
