import { getRecord, type Id, isNode, type Site } from '@cove/core';
import { useCallback } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useSession } from '../session/context.tsx';

/** Page on which a node can be seen: its own, or the open one for what all pages share. */
export function pageOf(site: Site, node: Id): Id | null {
  let at = getRecord(site, node);
  while (isNode(at)) at = getRecord(site, at.at.parent);
  return at?.kind === 'page' ? at.id : null;
}

/** Address of the place where a record can be changed. */
export function placeOf(site: Site, siteId: Id, id: Id, openPage?: Id): string | null {
  const record = getRecord(site, id);
  const guide = `/sites/${siteId}/guide`;
  switch (record?.kind) {
    case 'token':
      return `${guide}?token=${id}`;
    case 'scheme':
      return `${guide}?scheme=${id}`;
    case 'role':
      return `${guide}?role=${id}`;
    case 'textStyle':
      return `${guide}?style=${id}`;
    case 'default':
      return `${guide}?element=${record.element}${record.place ? `&rule=${id}` : ''}`;
    case 'variant':
      return `${guide}?element=${record.element}&variants=${id}`;
    case 'variantRule':
      return `${placeOf(site, siteId, record.variant, openPage)}&rule=${id}`;
    case 'preset':
      return `${guide}?preset=${id}`;
    case 'section':
    case 'widget':
      return `/sites/${siteId}/pages/${pageOf(site, id) ?? openPage ?? ''}?node=${id}`;
    case 'page':
      return `/sites/${siteId}/pages/${id}?node=${id}`;
    default:
      return null;
  }
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
