import {
  bareLink,
  cardTitle,
  coverPicture,
  flatList,
  flatParagraph,
  iconBaseline,
  linkStates,
} from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { linkOf } from '../kit/link.ts';
import { h, type MarkupContext, type PageBranch } from '../kit/markup.ts';
import { sized } from '../kit/sized.ts';
import { pageListLooks } from './looks.ts';

const LEVELS = [2, 3, 4, 5, 6] as const;
const SHOWN = ['yes', 'no'] as const;

/** The pages of a branch, as they are now: what the site says of each in its settings. */
export const pageList = element({
  name: 'pageList',
  label: 'Page list',
  family: 'navigation',
  about: 'Pages and what they say',
  words: 'subpages index articles related children',
  parts: {
    list: { label: 'List', kind: 'box' },
    entry: {
      label: 'Page',
      kind: 'box',
      inside: 'list',
      host: 'entry',
      states: ['hover', 'selected'],
      byTouch: true,
    },
    picture: { label: 'Picture', kind: 'picture', inside: 'entry', host: 'entry' },
    icon: { label: 'Icon', kind: 'icon', inside: 'entry', host: 'entry' },
    title: { label: 'Title', kind: 'heading', inside: 'entry', host: 'entry' },
    link: {
      label: 'Link',
      kind: 'label',
      inside: 'title',
      host: 'link',
      states: ['hover', 'focus', 'pressed', 'selected'],
    },
    text: { label: 'Description', kind: 'text', inside: 'entry', host: 'entry' },
    none: { label: 'Words where there are no pages', kind: 'text', inside: 'list', host: 'none' },
  },
  axes: ['look', 'arrangement'],
  looks: pageListLooks,
  holds: null,
  listsPages: true,
  program: programStyles({
    ...flatList('list'),
    'list/display': 'grid',
    'list/gridColumns': 3,
    'list@medium/gridColumns': 2,
    'list@narrow/gridColumns': 1,
    'list/rowGap': '2rem',
    'list/columnGap': '2rem',
    'entry/display': 'flex',
    'entry/flexDirection': 'column',
    'entry/alignItems': 'start',
    'entry/rowGap': '0.5rem',
    ...coverPicture('picture'),
    ...iconBaseline('icon', '2rem'),
    ...cardTitle('title'),
    ...bareLink('link'),
    ...linkStates('link'),
    'link/display': 'inline',
    'link/color': 'currentcolor',
    ...flatParagraph('text'),
    ...flatParagraph('none'),
  }),
  content: {
    of: {
      type: 'choice',
      label: 'Pages',
      options: ['below this page', 'beside this page', 'below a page', 'at the top'],
    },
    page: { type: 'link', label: 'Parent page' },
    pictures: { type: 'choice', label: 'Pictures', options: SHOWN },
    icons: { type: 'choice', label: 'Icons', options: SHOWN },
    descriptions: { type: 'choice', label: 'Descriptions', options: SHOWN },
    level: { type: 'choice', label: 'Title level', options: LEVELS },
    empty: { type: 'plain', label: 'Text when there are no pages' },
  },
  sample: {
    of: 'at the top',
    pictures: 'yes',
    icons: 'yes',
    descriptions: 'yes',
    level: 3,
    empty: 'No pages yet.',
  },
  begins: { of: 'below this page', pictures: 'yes', icons: 'yes', descriptions: 'yes', level: 3, empty: '' },
  markup: (content, context) => {
    const level = LEVELS.find(it => it === content.level) ?? 3;
    const shows = (field: string) => content[field] !== 'no';
    const pages = context.pages(branchOf(content, context));
    const empty = plain(content, 'empty');
    if (pages.length === 0)
      return h('div', { part: 'list' }, empty !== '' && h('p', { part: 'none' }, empty));
    return h(
      'ul',
      { part: 'list', role: 'list' },
      ...pages.map(({ title, href, current, description, icon, picture }) =>
        h(
          'li',
          { part: 'entry' },
          shows('pictures') &&
            picture !== null &&
            // The title beside it says what it stands for.
            sized(picture, 'picture', '', context),
          shows('icons') && iconOf('icon', icon, context),
          h(
            `h${level}`,
            { part: 'title' },
            h('a', { part: 'link', href, 'aria-current': current ? 'page' : null }, title),
          ),
          shows('descriptions') && description !== '' && h('p', { part: 'text' }, description),
        ),
      ),
    );
  },
  summary: content => `Pages ${typeof content.of === 'string' ? content.of : 'below this page'}`,
});

function branchOf(content: Parameters<typeof linkOf>[0], context: Pick<MarkupContext, 'page'>): PageBranch {
  const link = linkOf(content, 'page');
  switch (content.of) {
    case 'at the top':
      return { below: null };
    case 'beside this page':
      return context.page === null ? { below: null } : { beside: context.page };
    case 'below a page':
      return { below: link && 'page' in link ? link.page : context.page };
    default:
      return { below: context.page };
  }
}
