import type { RichText } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import { getSchema } from '@tiptap/core';
import { DOMParser } from '@tiptap/pm/model';
import { extensions } from '../src/writing/extensions.ts';
import { fromEditor, toEditor } from '../src/writing/richText.ts';

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
        { text: ' mind the ramp', marked: true },
        { text: ' fares', link: { type: 'section', page: 'fares', section: 'prices' } },
        { text: ' away', link: { type: 'url', href: 'https://tides.example/' } },
      ],
      [],
    ];
    expect(fromEditor(toEditor(text))).toEqual(text);
  });
  it('keeps of what is pasted the words, their emphasis and where they lead, and nothing else', () => {
    const pasted = document.createElement('div');
    pasted.innerHTML = `<meta charset="utf-8"><h2 style="color:red;font-family:Fancy">Fares</h2>
      <p class="Normal" style="margin:0"><span style="font-size:22px;background:yellow">Six <b style="font-weight:700">shells</b></span>
      <font color="#f00">a <em>crossing</em></font> <mark>today</mark> <a href="https://tides.example/" onclick="x()" target="_blank">tides</a>
      <a href="javascript:alert(1)">no</a><img src="https://spy.example/p.gif"></p><script>alert(1)</script><ul><li>Dogs</li></ul>`;
    const doc = DOMParser.fromSchema(getSchema(extensions())).parse(pasted);
    expect(fromEditor(doc.toJSON())).toEqual([
      [{ text: 'Fares' }],
      [
        { text: 'Six ' },
        { text: 'shells', strong: true },
        { text: ' a ' },
        { text: 'crossing', emphasis: true },
        { text: ' ' },
        { text: 'today', marked: true },
        { text: ' ' },
        { text: 'tides', link: { type: 'url', href: 'https://tides.example/' } },
        { text: ' no' },
      ],
      [{ text: 'Dogs' }],
    ]);
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
