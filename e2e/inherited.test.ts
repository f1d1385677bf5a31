import {
  type Edit,
  elementOfNode,
  nodeScope,
  nodesOn,
  type PropertyName,
  propertyOf,
  renderPreview,
  type Site,
  styledParts,
  threadOf,
} from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import { after } from './support/everyWidget.ts';
import { publishedPages } from './support/published.ts';

const published = publishedPages();
const INHERITED: readonly PropertyName[] = ['fontSize', 'letterSpacing', 'lineHeight'];

interface Told {
  node: string;
  part: string;
  property: string;
  css: string;
}

/** What the thread says of lengths that a part inherits, for every part of everything on a page. */
function told(site: Site, pageId: string): Told[] {
  const page = site.kinds.page.get(pageId);
  if (!page) throw new Error(pageId);
  return nodesOn(site, page).flatMap(node => {
    const scope = nodeScope(site, pageId, node.id);
    if (!scope) return [];
    return styledParts(elementOfNode(node)).flatMap(part =>
      INHERITED.flatMap((property): Told[] => {
        const { css, from } = threadOf(site, scope, { part, state: 'rest', width: 'wide', property });
        const isTold =
          css !== null && from?.inherited && (property === 'fontSize' || !/^[\d.]+$|^normal$/.test(css));
        return isTold ? [{ node: node.id, part, property: propertyOf(property).css, css }] : [];
      }),
    );
  });
}

describe('what the thread says of an inherited length, against what Chromium computes', () => {
  const demo = tolvane(() => 'abcdef0123456789.webp');
  const sized = (id: string, size: Record<string, unknown>): Edit => ({
    op: 'set',
    id,
    path: ['styles', 'box/fontSize'],
    value: { type: 'dimension', value: size },
  });
  // Relative sizes one within another, and letters spaced by them.
  const callout = [...demo.kinds.widget.values()].find(
    it => it.widget === 'callout' || it.widget === 'quote',
  );
  const feature = [...demo.kinds.widget.values()].find(it => it.widget === 'feature');
  const site = after(demo, [
    ...(callout ? [sized(callout.id, { value: 1.3, unit: 'em' })] : []),
    ...(feature ? [sized(feature.id, { value: 2.21, unit: 'em' })] : []),
    ...(feature
      ? [
          {
            op: 'set',
            id: feature.id,
            path: ['styles', 'box/letterSpacing'],
            value: { type: 'dimension', value: { value: 0.05, unit: 'em' } },
          } as const,
        ]
      : []),
  ]);
  it.each(['home', 'islands', 'sailings'])('page %s', async path => {
    const page = [...site.kinds.page.values()].find(it => it.id === path || it.path === path);
    if (!page) throw new Error(path);
    const { page: tab } = published.it;
    await tab.setViewport({ width: 1280, height: 900 });
    await tab.setContent(renderPreview(site, page, { fonts: 'fonts/', assets: 'assets/' }));
    const list = told(site, page.id);
    expect(list.length).toBeGreaterThan(20);
    expect(list.filter(it => it.css.includes('em') && !it.css.includes('rem'))).toEqual([]);
    const wrong = await tab.evaluate(all => {
      const probe = document.createElement('p');
      document.documentElement.append(probe);
      return all.flatMap(({ node, part, property, css }) => {
        const holder = document.querySelector(`[data-node="${node}"]`);
        const element = holder?.matches(`[data-part="${part}"]`)
          ? holder
          : holder?.querySelector(`[data-part="${part}"]`);
        if (!element || element.closest('[data-node]')?.getAttribute('data-node') !== node) return [];
        probe.style.cssText = `${property}:${css}`;
        const ours = Number.parseFloat(getComputedStyle(probe).getPropertyValue(property));
        const theirs = Number.parseFloat(getComputedStyle(element).getPropertyValue(property));
        return Math.abs(ours - theirs) > 0.02 ? [{ node, part, property, css, ours, theirs }] : [];
      });
    }, list);
    expect(wrong).toEqual([]);
  });
});
