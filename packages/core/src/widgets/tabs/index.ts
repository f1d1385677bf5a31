import { element, plain, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { source } from './behaviour.source.ts';
import { tabsLooks } from './looks.ts';

/** Panels of which one shows, and a row of tabs to choose it by. Without a script all panels show, and the tabs lead to them. */
export const tabs = element({
  name: 'tabs',
  label: 'Tabs',
  family: 'turns',
  about: 'One panel at a time',
  words: 'panels switch register days',
  parts: {
    tabs: { label: 'Tabs', kind: 'box' },
    row: { label: 'Row of tabs', kind: 'box', inside: 'tabs' },
    panels: { label: 'Panels', kind: 'box', inside: 'tabs' },
  },
  axes: ['look'],
  looks: tabsLooks,
  holds: 'panels',
  accepts: ['tab'],
  holdsAtFirst: [
    { widget: 'tab', content: { title: 'First title' } },
    { widget: 'tab', content: { title: 'Second title' } },
    { widget: 'tab', content: { title: 'Third title' } },
  ],
  sampleHolds: [
    { widget: 'tab', content: { title: 'First tab' } },
    { widget: 'tab', content: { title: 'Second tab' } },
    { widget: 'tab', content: { title: 'Third tab' } },
  ],
  behaviour: source,
  // On paper and where no script runs, everything is there to be read.
  css: ['@media print{:where(.tabs-panels>[hidden]){content-visibility:visible;display:block}}'],
  cssWithoutScripts: [':where(.tabs-panels>[hidden]){content-visibility:visible;display:block}'],
  program: programStyles({
    'tabs/display': 'flex',
    'tabs/flexDirection': 'column',
    'tabs/alignItems': 'stretch',
    'row/display': 'flex',
    'row/flexDirection': 'row',
    'row/flexWrap': 'wrap',
    'row/borderBottomWidth': '1px',
    'row/borderBottomStyle': 'solid',
    'row/borderBottomColor': 'role.line',
    'panels/display': 'block',
    'panels/flexGrow': 1,
    'panels/flexBasis': 0,
  }),
  content: { label: { type: 'plain', label: 'Name for screen readers' } },
  sample: { label: 'Days' },
  begins: { label: '' },
  markup: content =>
    h(
      'div',
      { part: 'tabs' },
      h(
        'div',
        { part: 'row', role: 'tablist', 'aria-label': plain(content, 'label') || null },
        { items: 'tab' },
      ),
      h('div', { part: 'panels' }, CHILDREN),
    ),
  summary: content => plain(content, 'label'),
});
