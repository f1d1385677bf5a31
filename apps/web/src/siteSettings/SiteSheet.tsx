import {
  directionOf,
  editOf,
  fail,
  HEADER_COLORS,
  HEADER_SCROLLS,
  headerKindOf,
  LANGUAGES,
  ok,
  PHRASE_NAMES,
  PHRASES,
  phraseIn,
  SHARED_AREAS,
  type SharedArea,
  type Site,
  schemesInOrder,
  sectionsIn,
  setSlot,
  settingsOf,
  showsArea,
  targetId,
} from '@cove/core';
import { useGo } from '../navigation/go.ts';
import { PictureChoice } from '../pictures/PictureChoice.tsx';
import { useCommit } from '../session/context.tsx';
import { Lock } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { Select } from '../ui/Select.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { Tick } from '../ui/Tick.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { HEADER_COLOR_NAMES, HEADER_SCROLL_NAMES } from './headerKindNames.ts';

const AREA_NAMES: Record<SharedArea, string> = { header: 'Header', sidebar: 'Sidebar', footer: 'Footer' };
const LONGEST_NAME = 80;
const LEAST_WIDTH = 320;
const MOST_WIDTH = 2000;

/** The width up to which pages are medium, or narrow. */
function WidthField({ site, field }: { site: Site; field: 'mediumTo' | 'narrowTo' }) {
  const commit = useCommit();
  const settings = settingsOf(site);
  const name = field === 'mediumTo' ? 'Medium' : 'Narrow';
  return (
    <TypedField
      label={`${name} up to, in px`}
      text={String(settings[field])}
      className="[&_input]:border-hair"
      parse={text => {
        const px = Number(text.trim().replace(/px$/, ''));
        if (!Number.isInteger(px) || px < LEAST_WIDTH || px > MOST_WIDTH)
          return fail({
            code: 'bad-width',
            message: `Enter a whole number from ${LEAST_WIDTH} to ${MOST_WIDTH}.`,
          });
        const isOrdered = field === 'mediumTo' ? settings.narrowTo < px : px < settings.mediumTo;
        return isOrdered
          ? ok(px)
          : fail({ code: 'bad-width', message: 'Narrow ends below where medium ends.' });
      }}
      onCommit={px => commit([editOf(settings).set(field, px)], `Change where ${name.toLowerCase()} ends`)}
    />
  );
}

/** The sections that pages share at one end, each a way to where it is edited. */
function SharedSections({ site, area, onGone }: { site: Site; area: SharedArea; onGone(): void }) {
  const go = useGo();
  const sections = sectionsIn(site, settingsOf(site).home, area);
  const shown = [...site.kinds.page.values()].filter(it => showsArea(it, area)).length;
  return (
    <p>
      <span className="inline-block w-16 text-muted">{AREA_NAMES[area]}</span>
      {sections.map(({ id, name }) => (
        <Button
          key={id}
          kind="link"
          className="mr-2 h-auto!"
          aria-label={`Edit ${name}`}
          onClick={() => {
            onGone();
            go(id);
          }}
        >
          {sections.length === 1 ? 'Edit' : name}
        </Button>
      ))}
      <span className="text-muted">
        {sections.length === 0
          ? 'None on the home page'
          : `on ${shown} of ${site.kinds.page.size} ${site.kinds.page.size === 1 ? 'page' : 'pages'}`}
      </span>
    </p>
  );
}

/** What is said once for all pages. */
export function SiteSheet({ site, onClose }: { site: Site; onClose(): void }) {
  const settings = settingsOf(site);
  return (
    <Sheet title="Site settings" about="They hold for all pages of the site." onClose={onClose}>
      <Lock unless="guide">
        <SiteFields site={site} />
        <div className="mt-4 grid gap-2 border-t border-hair pt-3">
          <h3 className="label-line">Where pages change</h3>
          <div className="grid grid-cols-2 gap-3">
            <WidthField site={site} field="mediumTo" />
            <WidthField site={site} field="narrowTo" />
          </div>
          <p className="text-muted">Above {settings.mediumTo} px pages are wide.</p>
        </div>
      </Lock>
      <div className="mt-4 grid gap-1 border-t border-hair pt-3">
        <h3 className="label-line">What pages share</h3>
        {SHARED_AREAS.map(area => (
          <SharedSections key={area} site={site} area={area} onGone={onClose} />
        ))}
        <Lock unless="guide">
          <HeaderKindFields site={site} />
          <SidebarSide site={site} />
        </Lock>
      </div>
    </Sheet>
  );
}

/** A setting of the guide: on which side of the content a sidebar stands, where both fit beside each other. */
function SidebarSide({ site }: { site: Site }) {
  const commit = useCommit();
  const target = { type: 'default', element: 'page' } as const;
  const said = site.kinds.default.get(targetId(target))?.styles['middle/flexDirection'];
  const isBefore = said?.type === 'keyword' && said.value === 'row-reverse';
  return (
    <Select
      label="A sidebar stands"
      value={isBefore ? 'before' : 'behind'}
      options={[
        { value: 'behind', label: 'behind the content' },
        { value: 'before', label: 'before the content' },
      ]}
      onChange={side =>
        commit(
          setSlot(
            site,
            target,
            'middle/flexDirection',
            side === 'before' ? { type: 'keyword', value: 'row-reverse' } : null,
          ),
          'Choose the side of the sidebar',
        )
      }
    />
  );
}

/** What the header does on all pages that do not say otherwise. */
function HeaderKindFields({ site }: { site: Site }) {
  const commit = useCommit();
  const settings = settingsOf(site);
  const { headerScrolls, headerColors } = headerKindOf(site, null);
  const others = [...site.kinds.page.values()].filter(
    it => it.headerScrolls !== undefined || it.headerColors !== undefined,
  );
  return (
    <div className="mt-2 grid gap-2">
      <Select
        label="While scrolling, the header"
        value={headerScrolls}
        options={HEADER_SCROLLS.map(value => ({ value, label: HEADER_SCROLL_NAMES[value] }))}
        onChange={value =>
          commit([editOf(settings).put('headerScrolls', value)], 'Choose how headers scroll')
        }
      />
      <Select
        label="Colours of the header"
        value={headerColors}
        options={HEADER_COLORS.map(value => ({ value, label: HEADER_COLOR_NAMES[value] }))}
        onChange={value =>
          commit([editOf(settings).put('headerColors', value)], 'Choose the colours of headers')
        }
      />
      {headerColors === 'sectionBeneath' && (
        <p className="text-muted">
          Its colours change while a visitor scrolls: it wears the scheme of whichever section is beneath it.
        </p>
      )}
      {headerColors === 'firstSection' && (
        <p className="text-muted">
          It wears the scheme of the first section and lets it show through, so its words are read on that.
        </p>
      )}
      {others.length > 0 && (
        <p className="text-muted">
          {others.length === 1 ? `${others[0]?.title} differs.` : `${others.length} pages differ.`}
        </p>
      )}
    </div>
  );
}

function SiteFields({ site }: { site: Site }) {
  const commit = useCommit();
  const settings = settingsOf(site);
  const alone = schemesInOrder(site)
    .filter(({ face, counterpart }) => face === 'light' && counterpart === undefined)
    .map(it => it.name);
  const isRightToLeft = directionOf(settings.language) === 'rtl';
  return (
    <div className="grid gap-3">
      <TypedField
        label="Name of the site"
        mono={false}
        className="[&_input]:border-hair"
        text={settings.name}
        parse={text =>
          text.trim() === ''
            ? fail({ code: 'empty', message: 'A site needs a name.' })
            : ok(text.trim().slice(0, LONGEST_NAME))
        }
        onCommit={name => commit([editOf(settings).set('name', name)], 'Rename the site')}
      />
      <Select
        label="Language of the site"
        value={settings.language}
        options={[
          ...LANGUAGES.map(({ code, name }) => ({ value: code, label: name })),
          ...(LANGUAGES.some(it => it.code === settings.language)
            ? []
            : [{ value: settings.language, label: settings.language }]),
        ]}
        onChange={language =>
          commit([editOf(settings).set('language', language)], 'Choose the language of the site')
        }
      />
      <p className="text-muted">
        Its pages are read from {isRightToLeft ? 'right to left' : 'left to right'}.
      </p>
      <details>
        <summary className="label-line cursor-pointer">Words that every page has</summary>
        <div className="mt-2 grid gap-2">
          {PHRASE_NAMES.map(name => (
            <TypedField
              key={name}
              label={PHRASES[name]}
              mono={false}
              text={settings.phrases?.[name] ?? phraseIn(settings.language, name)}
              className="[&_input]:border-hair"
              parse={text => ok(text.trim())}
              onCommit={text => {
                const { [name]: _, ...others } = settings.phrases ?? {};
                const isOwn = text !== '' && text !== phraseIn(settings.language, name);
                const phrases = isOwn ? { ...others, [name]: text } : others;
                return commit(
                  [editOf(settings).put('phrases', Object.keys(phrases).length > 0 ? phrases : null)],
                  'Change a phrase',
                );
              }}
            />
          ))}
        </div>
      </details>
      <PictureChoice
        site={site}
        label="Favicon, for the whole site"
        chosen={settings.tabIcon ?? null}
        onChoose={picture => commit([editOf(settings).put('tabIcon', picture)], 'Choose the favicon')}
      />
      <div className="flex flex-wrap gap-6">
        <PictureChoice
          site={site}
          label="Logo"
          chosen={settings.logo ?? null}
          onChoose={picture => commit([editOf(settings).put('logo', picture)], 'Choose the logo')}
        />
        <PictureChoice
          site={site}
          label="Logo on dark surfaces"
          none="The same"
          chosen={settings.darkLogo ?? null}
          onChoose={picture =>
            commit([editOf(settings).put('darkLogo', picture)], 'Choose the logo on dark surfaces')
          }
        />
      </div>
      <Tick
        checked={settings.awayInNewTab === true}
        onChange={on =>
          commit([editOf(settings).put('awayInNewTab', on || null)], 'Change how external links open')
        }
      >
        Open external links in a new tab
      </Tick>
      <Tick
        checked={settings.wideColors === true}
        onChange={on =>
          commit([editOf(settings).put('wideColors', on || null)], 'Change how wide colours are published')
        }
      >
        Publish colours outside sRGB for wide-gamut screens
      </Tick>
      <div>
        <Tick
          checked={settings.darkVersion === true}
          onChange={on =>
            commit([editOf(settings).put('darkVersion', on || null)], 'Change the dark version of the site')
          }
        >
          Publish a dark version for visitors whose device asks for one
        </Tick>
        <p className="text-muted">
          {alone.length === 0
            ? 'Each light scheme is then shown as its dark counterpart.'
            : `Light schemes are then shown as their dark counterparts. ${alone.join(', ')} ${alone.length === 1 ? 'has' : 'have'} none and ${alone.length === 1 ? 'stays' : 'stay'} light: name one at the scheme, in the guide.`}
        </p>
      </div>
      <TypedField
        label="Site address"
        text={settings.address ?? ''}
        className="[&_input]:border-hair"
        parse={text => {
          const address = text.trim().replace(/\/+$/, '');
          return address === '' || /^https?:\/\/[^\s/]+/.test(address)
            ? ok(address)
            : fail({
                code: 'bad-address',
                message: 'Enter the full address, such as https://domain.example',
              });
        }}
        onCommit={address =>
          commit(
            [editOf(settings).put('address', address === '' ? null : address)],
            'Change the site address',
          )
        }
      />
      <p className="text-muted">
        Link previews, their pictures and the sitemap need it. Without it, they are left out.
      </p>
    </div>
  );
}
