import { READY_GUIDES } from '@cove/core/starters';
import { type ReactNode, useId, useRef } from 'react';
import { Button } from '../../ui/Button.tsx';
import { Select } from '../../ui/Select.tsx';
import { WholeFileChoice } from '../../wholeSite/WholeFileChoice.tsx';
import { BrandRead } from './BrandRead.tsx';
import { FULL_STARTERS, type NewSiteState, type Pages, type Source } from './useNewSite.ts';

/** Where a new site starts from; the chosen one is open. */
export function Sources({ state }: { state: NewSiteState }) {
  return (
    <div role="radiogroup" aria-label="Start from" className="grid">
      <SourceOption
        state={state}
        value="brand"
        label="The brand’s values"
        about="Colours, fonts and sizes: typed, from a file, or from a logo"
      >
        <BrandSource state={state} />
        <PagesChoice state={state} />
      </SourceOption>
      <SourceOption
        state={state}
        value="guide"
        label="A guide"
        about={`${READY_GUIDES.length} ready-made, ${state.kept.length} of yours`}
      >
        <GuideSource state={state} />
        <PagesChoice state={state} />
      </SourceOption>
      <SourceOption
        state={state}
        value="site"
        label="A ready-made site"
        about={`${FULL_STARTERS.length} ready-made, ${state.own.length} of yours`}
      >
        <SiteSource state={state} />
      </SourceOption>
      <SourceOption
        state={state}
        value="whole"
        label="A whole site from a file"
        about="As it was downloaded, here or elsewhere: pages, guide, pictures and fonts"
      >
        <WholeFileChoice chosen={state.whole.chosen} disabled={state.busy} />
      </SourceOption>
    </div>
  );
}

function SourceOption({
  state,
  value,
  label,
  about,
  children,
}: {
  state: NewSiteState;
  value: Source;
  label: string;
  about: string;
  children: ReactNode;
}) {
  const on = state.source === value;
  return (
    <div className="border-t border-hair py-3">
      <label className="flex cursor-pointer items-baseline gap-2">
        <input
          type="radio"
          name="source"
          aria-label={label}
          aria-description={about}
          className="accent-teal"
          checked={on}
          onChange={() => state.setSource(value)}
        />
        <span>
          <span className={`block font-semibold ${on ? 'text-teal' : ''}`}>{label}</span>
          <span className="block text-small text-muted">{about}</span>
        </span>
      </label>
      {on && <div className="grid gap-3 pt-3">{children}</div>}
    </div>
  );
}

const PLACEHOLDER =
  'Primary #2a3d66, accent #b5622f\nheadings Fraunces, text Work Sans\nbase 17px, corners 4px';

function BrandSource({ state: { brand, name } }: { state: NewSiteState }) {
  const id = useId();
  const file = useRef<HTMLInputElement>(null);
  const picture = useRef<HTMLInputElement>(null);
  return (
    <>
      <div className="grid gap-1">
        <label htmlFor={id} className="label-line">
          Brand values
        </label>
        <textarea
          id={id}
          rows={5}
          spellCheck={false}
          maxLength={20_000}
          placeholder={PLACEHOLDER}
          value={brand.text}
          onChange={event => brand.setText(event.target.value)}
          className="w-full resize-y rounded border border-hair bg-paper px-2.5 py-2 font-mono text-[12px]"
        />
        <p className="flex items-center gap-3 text-small text-muted">
          <span className="mr-auto">{brand.busy ? 'Reading…' : 'Any CSS colour, font or size'}</span>
          <Button kind="link" className="h-5! text-small" onClick={() => file.current?.click()}>
            Read a file…
          </Button>
          <Button kind="link" className="h-5! text-small" onClick={() => picture.current?.click()}>
            Read a logo…
          </Button>
        </p>
        <input
          ref={file}
          type="file"
          hidden
          aria-label="Token or CSS file"
          accept=".json,.tokens,.css,.html,.htm,.txt,application/json,text/css,text/html,text/plain"
          onChange={event => {
            const [chosen] = event.target.files ?? [];
            event.target.value = '';
            if (chosen) void brand.readFile(chosen);
          }}
        />
        <input
          ref={picture}
          type="file"
          hidden
          aria-label="Logo or picture"
          accept="image/*"
          onChange={event => {
            const [chosen] = event.target.files ?? [];
            event.target.value = '';
            if (chosen) void brand.readPicture(chosen);
          }}
        />
        {brand.problem && (
          <p role="alert" className="text-small text-madder">
            {brand.problem}
          </p>
        )}
      </div>
      <BrandRead state={brand} siteName={name.trim() || 'New site'} />
    </>
  );
}

function GuideSource({ state }: { state: NewSiteState }) {
  const { chosen, setChosen, kept } = state;
  return (
    <div role="radiogroup" aria-label="Guide" className="grid gap-1.5">
      {kept.map(it => (
        <Choice
          key={it.id}
          name="guide"
          label={it.name}
          about={it.about || 'One of yours'}
          checked={chosen.type === 'kept' && chosen.id === it.id}
          onChoose={() => setChosen({ type: 'kept', id: it.id })}
        />
      ))}
      {READY_GUIDES.map(spec => (
        <Choice
          key={spec.id}
          name="guide"
          label={spec.name}
          about={spec.about}
          checked={chosen.type === 'ready' && chosen.id === spec.id}
          onChoose={() => setChosen({ type: 'ready', id: spec.id })}
        >
          <span className="mt-1 flex h-3 overflow-hidden rounded-xs">
            {spec.swatches
              .filter(([group]) => group !== 'Status')
              .map(([, swatch, color]) => (
                <span key={swatch} className="flex-1" style={{ background: color }} />
              ))}
          </span>
        </Choice>
      ))}
    </div>
  );
}

const pagesKey = ({ type, id }: Pages): string => `${type} ${id}`;

/** The pages that a site in this guide begins with. */
function PagesChoice({ state: { pages, setPages, own } }: { state: NewSiteState }) {
  const options: { pages: Pages; label: string }[] = [
    { pages: { type: 'ready', id: 'bare' }, label: 'An empty page' },
    ...FULL_STARTERS.map(it => ({ pages: { type: 'ready' as const, id: it.id }, label: it.label })),
    ...own.map(it => ({
      pages: { type: 'own' as const, id: it.id },
      label: `Pages of ${it.name}, made neutral`,
    })),
  ];
  return (
    <Select
      label="Begin with"
      value={pagesKey(pages)}
      options={options.map(it => ({ value: pagesKey(it.pages), label: it.label }))}
      onChange={key => {
        const found = options.find(it => pagesKey(it.pages) === key);
        if (found) setPages(found.pages);
      }}
    />
  );
}

function SiteSource({ state }: { state: NewSiteState }) {
  return (
    <div role="radiogroup" aria-label="Ready-made site" className="grid gap-1.5">
      {FULL_STARTERS.map(it => (
        <Choice
          key={it.id}
          name="starter"
          label={it.label}
          about={it.about}
          checked={state.chosenSite.type === 'ready' && state.chosenSite.id === it.id}
          onChoose={() => state.setChosenSite({ type: 'ready', id: it.id })}
        />
      ))}
      {state.own.map(it => (
        <Choice
          key={it.id}
          name="starter"
          label={it.name}
          about="One of yours: its pages and its guide, with neutral words and pictures"
          checked={state.chosenSite.type === 'own' && state.chosenSite.id === it.id}
          onChoose={() => state.setChosenSite({ type: 'own', id: it.id })}
        />
      ))}
    </div>
  );
}

function Choice({
  name,
  label,
  about,
  checked,
  onChoose,
  children,
}: {
  name: string;
  label: string;
  about: string;
  checked: boolean;
  onChoose(): void;
  children?: ReactNode;
}) {
  return (
    <label
      className={`flex cursor-pointer items-baseline gap-2 rounded-sm border px-2 py-1.5 ${checked ? 'border-teal bg-wash' : 'border-hair'}`}
    >
      <input
        type="radio"
        name={name}
        aria-label={label}
        aria-description={about}
        className="accent-teal"
        checked={checked}
        onChange={onChoose}
      />
      <span className="min-w-0 flex-1">
        <span className="block font-semibold">{label}</span>
        <span className="block text-small text-muted">{about}</span>
        {children}
      </span>
    </label>
  );
}
