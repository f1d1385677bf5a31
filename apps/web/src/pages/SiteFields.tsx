import { editOf, fail, ok, type Site, settingsOf } from '@cove/core';
import { PictureChoice } from '../pictures/PictureChoice.tsx';
import { useCommit } from '../session/context.tsx';
import { Tick } from '../ui/Tick.tsx';
import { TypedField } from '../ui/TypedField.tsx';

/** What is said once for all pages; it is found at the home page. */
export function SiteFields({ site }: { site: Site }) {
  const commit = useCommit();
  const settings = settingsOf(site);
  return (
    <div className="mt-4 grid gap-3 border-t border-hair pt-3">
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
      <TypedField
        label="Site address"
        text={settings.address ?? ''}
        className="[&_input]:border-hair"
        parse={text => {
          const address = text.trim().replace(/\/+$/, '');
          return address === '' || /^https?:\/\/[^\s/]+/.test(address)
            ? ok(address)
            : fail({ code: 'bad-address', message: 'Write it whole, such as https://tolvane.example' });
        }}
        onCommit={address =>
          commit(
            [editOf(settings).put('address', address === '' ? null : address)],
            'Change the site address',
          )
        }
      />
      <p className="text-muted">
        Shared links, their pictures and the site’s map need it: without it those are left out.
      </p>
    </div>
  );
}
