import { type Id, locationOf, type Site, settingsOf } from '@cove/core';
import { useCallback } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useSession } from '../session/context.tsx';

/** Address of the place where a record can be changed; what all pages share is changed on the open one. */
export function placeOf(site: Site, siteId: Id, id: Id, openPage?: Id): string | null {
  const location = locationOf(site, id);
  if (!location) return null;
  if (location.station === 'guide')
    return `/sites/${siteId}/guide?${new URLSearchParams(location.open).toString()}`;
  return `/sites/${siteId}/pages/${location.page ?? openPage ?? settingsOf(site).home}?node=${location.node}`;
}

/** Goes to where a record can be changed. */
export function useGo(): (id: Id) => void {
  const navigate = useNavigate();
  const session = useSession();
  const { page } = useParams();
  return useCallback(
    id => {
      const place = placeOf(session.site, session.id, id, page);
      if (place) void navigate(place);
    },
    [navigate, session, page],
  );
}
