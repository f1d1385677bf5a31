import { coverPicture, flatParagraph } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { fileIn } from '../kit/mediaFile.ts';
import { sized } from '../kit/sized.ts';
import { audioLooks } from './looks.ts';

/** Something to listen to: what it is, perhaps a picture, and the browser’s own player. */
export const audio = element({
  name: 'audio',
  label: 'Audio',
  family: 'picture',
  about: 'Something to listen to',
  words: 'sound music podcast speech recording mp3 player listen',
  parts: {
    box: { label: 'Box', kind: 'box' },
    cover: { label: 'Picture', kind: 'picture', inside: 'box' },
    words: { label: 'Words', kind: 'box', inside: 'box' },
    title: { label: 'Title', kind: 'label', inside: 'words', shows: 'title' },
    note: { label: 'Note', kind: 'text', inside: 'words', shows: 'note' },
    player: { label: 'Player', kind: 'box', inside: 'words' },
  },
  axes: ['look'],
  looks: audioLooks,
  holds: null,
  program: programStyles({
    'box/display': 'flex',
    'box/alignItems': 'center',
    'box/columnGap': '1rem',
    'box/rowGap': '1rem',
    ...coverPicture('cover'),
    'cover/width': '6rem',
    'cover/aspectRatio': 1,
    'words/display': 'flex',
    'words/flexDirection': 'column',
    'words/rowGap': '0.375rem',
    'words/flexGrow': 1,
    'title/display': 'block',
    'title/color': 'role.heading',
    'title/fontWeight': 700,
    ...flatParagraph('note'),
    'note/color': 'role.muted',
    'note/fontSize': '0.875em',
    'player/display': 'block',
    'player/width': '100%',
    'player/height': '3rem',
    'player/backgroundColor': 'role.raised',
    'player/borderTopLeftRadius': '1.5rem',
    'player/borderTopRightRadius': '1.5rem',
    'player/borderBottomLeftRadius': '1.5rem',
    'player/borderBottomRightRadius': '1.5rem',
  }),
  content: {
    file: { type: 'link', label: 'Sound', files: true },
    title: { type: 'plain', label: 'Title' },
    note: { type: 'plain', label: 'Note' },
    asset: { type: 'asset', label: 'Picture' },
  },
  sample: { title: 'Something to listen to', note: 'Four minutes', asset: null },
  begins: { title: 'Title', note: '', asset: null },
  markup: (content, context) => {
    const file = fileIn(content, 'file', context);
    const cover = typeof content.asset === 'string' ? context.asset(content.asset) : null;
    const title = plain(content, 'title');
    return h(
      'div',
      { part: 'box' },
      // Its title says what it stands for.
      cover && sized(cover, 'cover', '', context),
      h(
        'div',
        { part: 'words' },
        title !== '' && h('span', { part: 'title' }, title),
        plain(content, 'note') !== '' && h('p', { part: 'note' }, plain(content, 'note')),
        file !== null
          ? h('audio', {
              part: 'player',
              src: file || null,
              controls: true,
              preload: 'none',
              'aria-label': title || null,
            })
          : h('div', { part: 'player' }),
      ),
    );
  },
  summary: content => plain(content, 'title'),
});
