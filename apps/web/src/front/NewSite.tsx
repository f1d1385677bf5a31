import { settingsOf } from '@cove/core';
import { createSite, drawings, SITE_STARTERS, type SiteStarter } from '@cove/core/starters';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, server } from '../api/client.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { PageCanvas } from '../canvas/pageCanvas.ts';
import { ScaledFrame } from '../canvas/ScaledFrame.tsx';
import { Field, Form } from '../forms/Form.tsx';
import { Sheet } from '../ui/Sheet.tsx';

/** The drawings that a new site begins with, as they are before it has files. */
const drawn = new Map(
  drawings().map(({ name, svg }) => [name, `data:image/svg+xml,${encodeURIComponent(svg)}`]),
);

/** The home page of a ready site, drawn from nothing but what the program ships. */
function Pictured({ starter }: { starter: SiteStarter }) {
  const site = useMemo(() => createSite(starter, starter.label, name => drawn.get(name) ?? ''), [starter]);
  return (
    <ScaledFrame
      key={starter.id}
      title={`Ready site: ${starter.label}`}
      width={1280}
      onReady={(document, view) => {
        new PageCanvas(document, view, '', settingsOf(site).home).show(site, null);
        document.addEventListener('click', event => event.preventDefault());
        return undefined;
      }}
    />
  );
}

/** Begins a site as a ready one, which is seen before. */
export function NewSite({ onClose }: { onClose(): void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [starter, setStarter] = useState(SITE_STARTERS[0]);
  const begin = async ({ name }: { name: string }) => {
    const { id } = await answer(server.POST('/api/sites', { body: { name, starter: starter?.id ?? '' } }));
    await queries.invalidateQueries({ queryKey: queryKeys.sites });
    void navigate(`/sites/${id}/guide`);
  };
  return (
    <Sheet wide title="New site" about="Start from one of these; all of it can be changed." onClose={onClose}>
      <div className="grid h-[66vh] grid-cols-[240px_1fr] gap-5">
        <div className="flex flex-col gap-4">
          <div role="radiogroup" aria-label="Start from" className="border-t border-hair">
            {SITE_STARTERS.map(it => (
              <label
                key={it.id}
                className="block cursor-pointer border-b border-hair py-2.5 has-checked:text-teal"
              >
                <input
                  type="radio"
                  name="starter"
                  className="mr-2 accent-teal"
                  checked={it === starter}
                  onChange={() => setStarter(it)}
                />
                <span className="font-semibold">{it.label}</span>
                <span className="mt-0.5 block pl-[21px] text-muted">{it.about}</span>
              </label>
            ))}
          </div>
          <Form<{ name: string }> submit="Begin" start={{ name: '' }} send={begin}>
            <Field<{ name: string }>
              name="name"
              label="Site name"
              maxLength={80}
              rules={{ validate: it => it.trim() !== '' || 'Enter a site name.' }}
            />
          </Form>
        </div>
        {starter && <Pictured starter={starter} />}
      </div>
    </Sheet>
  );
}
