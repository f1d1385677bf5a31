import { elementOfNode, getRecord, type Id, type Site, tokenPath } from '@cove/core';

/** What a record is called where it is spoken of. */
export function nameOf(site: Site, id: Id): string {
  const record = getRecord(site, id);
  switch (record?.kind) {
    case 'token':
      return tokenPath(site.kinds.token, id);
    case 'page':
      return record.title;
    case 'section':
      return record.name;
    case 'widget': {
      const element = elementOfNode(record);
      const summary = element.summary?.(record.content) ?? '';
      return summary === '' ? element.label : summary;
    }
    case 'default':
      return `default of ${record.element}${record.place ? `, ${placeName(site, record.place)}` : ''}`;
    case 'variantRule':
      return `${nameOf(site, record.variant)}, ${placeName(site, record.place)}`;
    case 'settings':
      return 'the site';
    case undefined:
      return id.startsWith('default-') ? `default of ${id.slice(8)}` : id;
    default:
      return record && 'name' in record ? record.name : id;
  }
}

function placeName(
  site: Site,
  place: { type: string; page?: Id; area?: string; scheme?: Id; section?: Id; pageKind?: string },
): string {
  if (place.page !== undefined)
    return `${place.type === 'branch' ? 'below' : 'on'} ${nameOf(site, place.page)}`;
  if (place.scheme !== undefined) return `on ${nameOf(site, place.scheme)}`;
  if (place.section !== undefined) return `in ${nameOf(site, place.section)}`;
  return place.area !== undefined
    ? `in the ${place.area}`
    : place.pageKind !== undefined
      ? `on every ${place.pageKind}`
      : 'in long-form text';
}
