import type { RichText } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import { fromEditor, toEditor } from '../src/bench/RichField.tsx';

describe('rich text', () => {
  it('comes out of the editor as it went in', () => {
    const text: RichText = [
      [
        { text: 'Cars ' },
        { text: 'board', strong: true, emphasis: true },
        { text: ' here', link: { type: 'page', page: 'fares' } },
      ],
      [
        { text: 'x = 1', code: true },
        { text: ' away', link: { type: 'url', href: 'https://tides.example/' } },
      ],
      [],
    ];
    expect(fromEditor(toEditor(text))).toEqual(text);
  });
  it('loses links that lead to a script', () => {
    const doc = {
      type: 'doc',
      content: [
        {
          type: 'paragraph',
          content: [
            { type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }] },
          ],
        },
      ],
    };
    expect(fromEditor(doc)).toEqual([[{ text: 'x' }]]);
  });
});
