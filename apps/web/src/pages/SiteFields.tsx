import {
  editOf,
  fail,
  LANGUAGES,
  ok,
  PHRASE_NAMES,
  PHRASES,
  phraseIn,
  type Site,
  settingsOf,
} from '@cove/core';
import { PictureChoice } from '../pictures/PictureChoice.tsx';
import { useCommit } from '../session/context.tsx';
import { Select } from '../ui/Select.tsx';
import { Tick } from '../ui/Tick.tsx';
import { TypedField } from '../ui/TypedField.tsx';

/** What is said once for all pages; it is found at the home page. */
export function SiteFields({ site }: { site: Site }) {
  const commit = useCommit();
  const settings = settingsOf(site);
  return (
    <div className="mt-4 grid gap-3 border-t border-hair pt-3">
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
