import {
  duplicatePage,
  type Edit,
  editOf,
  fail,
  type Id,
  ok,
  PAGE_SWITCHES,
  type PageRecord,
  type PageSwitch,
  pageFolder,
  type Result,
  removePage,
  type Site,
  schemesInOrder,
  setAddress,
  setHome,
  settingsOf,
  switchPage,
} from '@cove/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { IconControl } from '../bench/content/IconControl.tsx';
import { Rebinds } from '../bench/Rebinds.tsx';
import { PictureChoice } from '../pictures/PictureChoice.tsx';
import { ImpactNote } from '../reach/ImpactNote.tsx';
import { useCommit, useSession } from '../session/context.tsx';
import { Lock, useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { NoteField } from '../ui/NoteField.tsx';
import { Select } from '../ui/Select.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { Tick } from '../ui/Tick.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { PageAreas } from './PageAreas.tsx';
import { PageRules } from './PageRules.tsx';

const SWITCHES: Record<PageSwitch, { label: string; about: string }> = {
  off: {
    label: 'Off',
    about: 'Visitors get the not-found page. Members still see it here and in the preview.',
  },
  unlisted: {
    label: 'Not in navigation',
    about: 'Reachable by link and address, but left out of menus.',
  },
  unindexed: {
    label: 'Not indexed',
    about: 'Search engines are asked not to index it, and it is left out of the sitemap.',
  },
};

/** All that is said of a page beside what stands on it. */
export function PageSheet({ site, page, onClose }: { site: Site; page: PageRecord; onClose(): void }) {
  const session = useSession();
  const commit = useCommit();
  const navigate = useNavigate();
  const mayWrite = useMay('content');
  const mayChoose = useMay('choice');
  const [leaving, setLeaving] = useState<readonly Edit[] | null>(null);
  const { id, title } = page;
  const settings = settingsOf(site);
  const isHome = settings.home === id;
  const edit = editOf(page);
  const open = (other: Id) => void navigate(`/sites/${session.id}/pages/${other}`);
  const run = (result: Result<Edit[]>, label: string) => {
    if (result.ok) commit(result.value, label);
    else toast.error(result.problem.message);
  };
  const duplicate = () => {
    const made = duplicatePage(session.site, id);
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, `Duplicate ${title}`)) {
      onClose();
      open(made.value.id);
    }
  };
  const askRemoval = () => {
    const made = removePage(session.site, id);
    if (made.ok) setLeaving(made.value);
    else toast.error(made.problem.message);
  };
  const remove = () => {
    if (!leaving || !commit(leaving, `Delete ${title}`)) return;
    onClose();
    open(settingsOf(session.site).home);
  };
  return (
    <Sheet
      title={title}
      about={isHome ? 'The home page' : `/${pageFolder(site, page)}`}
      onClose={onClose}
      foot={
        mayChoose && (
          <>
            <Button disabled={isHome} onClick={askRemoval}>
              Delete…
            </Button>
            <Button onClick={duplicate}>Duplicate</Button>
            <Button
              kind="line"
              disabled={isHome || page.off === true}
              onClick={() => run(setHome(session.site, id), `Make ${title} the home page`)}
            >
              Make it the home page
            </Button>
          </>
        )
      }
    >
      <Lock unless="content">
        <div className="grid gap-3 [&_input:not([type])]:border-hair [&_input[type=text]]:border-hair">
          <TypedField
            label="Title"
            mono={false}
            text={title}
            parse={text =>
              text.trim() === '' ? fail({ code: 'empty', message: 'A page needs a title.' }) : ok(text.trim())
            }
            onCommit={it => commit([edit.set('title', it)], `Rename ${title}`)}
          />
          {!isHome && (
            <TypedField
              label="Address"
              text={page.path}
              parse={text => setAddress(session.site, id, text)}
              onCommit={edits => commit(edits, `Give ${title} another address`)}
            />
          )}
          <NoteField
            label="Description"
            text={page.description}
            placeholder="What search engines and shared links say of it, in a sentence or two"
            onCommit={text => commit([edit.set('description', text)], `Describe ${title}`)}
          />
          <TypedField
            label="Short name, for navigation and lists of pages"
            mono={false}
            text={page.shortName ?? ''}
            parse={text => ok(text.trim())}
            onCommit={it =>
              commit([edit.put('shortName', it === '' ? null : it)], `Give ${title} a short name`)
            }
          />
          <IconControl
            site={site}
            field={{ type: 'icon', label: 'Icon in lists of pages' }}
            value={page.icon ?? null}
            onChange={icon =>
              commit(
                [edit.put('icon', typeof icon === 'string' ? icon : null)],
                `Choose an icon for ${title}`,
              )
            }
          />
          <PictureChoice
            site={site}
            label="Picture where it is shared, and in lists of pages"
            chosen={page.sharePicture ?? null}
            onChoose={picture =>
              commit([edit.put('sharePicture', picture)], 'Choose the picture for sharing')
            }
          />
        </div>
      </Lock>
      <Lock unless="choice">
        <div className="mt-4 grid gap-2 border-t border-hair pt-3">
          <Select
            label="Scheme of the page"
            value={page.scheme ?? ''}
            options={[
              { value: '', label: 'Same as the site' },
              ...schemesInOrder(site).map(it => ({ value: it.id, label: it.name })),
            ]}
            onChange={scheme =>
              commit([edit.set('scheme', scheme === '' ? null : scheme)], 'Choose a scheme')
            }
          />
          <PageAreas site={site} page={page} />
          {PAGE_SWITCHES.map(name => (
            <div key={name}>
              <Tick
                describedBy={`about-${name}`}
                checked={page[name] === true}
                disabled={!mayChoose || (name === 'off' && isHome)}
                onChange={on =>
                  commit(
                    switchPage(id, name, on),
                    `${on ? 'Switch' : 'Switch back'} ${title}: ${SWITCHES[name].label.toLowerCase()}`,
                  )
                }
              >
                {SWITCHES[name].label}
              </Tick>
              <p id={`about-${name}`} className="pl-[21px] text-muted">
                {name === 'off' && isHome ? 'The home page is always on.' : SWITCHES[name].about}
              </p>
            </div>
          ))}
        </div>
      </Lock>
      <Lock unless="style">
        <div className="mt-4 border-t border-hair pt-3">
          <h3 className="label-line pb-1">Tokens on this page</h3>
          <Rebinds site={site} record={page} />
        </div>
      </Lock>
      <Lock unless="guide">
        <div className="mt-4 border-t border-hair pt-3">
          <PageRules site={site} page={page} />
        </div>
      </Lock>
      {leaving && (
        <div className="mt-4 grid gap-2 border-t border-hair pt-3">
          <p>
            {title} will be deleted with everything on it and the pages below it. Links to it will lead to the
            page above.
          </p>
          <ImpactNote edits={leaving} />
          <Button kind="main" className="justify-self-start" onClick={remove}>
            Delete {title}
          </Button>
        </div>
      )}
      {!mayWrite && <p className="mt-3 text-muted">You have view-only access.</p>}
    </Sheet>
  );
}
