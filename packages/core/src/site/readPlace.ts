import type { Fields } from './fields.ts';
import { AREAS, PAGE_KINDS, type Place } from './records.ts';

export const place = (fields: Fields): Place =>
  fields.object('place', (f): Place => {
    const type = f.oneOf('type', ['pageKind', 'branch', 'page', 'area', 'scheme', 'section', 'longForm']);
    switch (type) {
      case 'pageKind':
        return { type, pageKind: f.oneOf('pageKind', PAGE_KINDS) };
      case 'branch':
      case 'page':
        return { type, page: f.id('page') };
      case 'area':
        return { type, area: f.oneOf('area', AREAS) };
      case 'scheme':
        return { type, scheme: f.id('scheme') };
      case 'section':
        return { type, section: f.id('section') };
      case 'longForm':
        return { type };
    }
  });
