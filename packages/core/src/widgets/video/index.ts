import { flatFigure } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { fileIn } from '../kit/mediaFile.ts';
import { videoLooks } from './looks.ts';

/** A film of the site’s own, with captions and a picture until it is played. */
export const video = element({
  name: 'video',
  label: 'Video',
  family: 'picture',
  about: 'A film with captions',
  words: 'film movie clip mp4 player moving picture',
  parts: {
    box: { label: 'Frame', kind: 'box' },
    screen: { label: 'Screen', kind: 'picture', inside: 'box' },
    caption: { label: 'Caption', kind: 'text', as: 'caption', inside: 'box', shows: 'caption' },
  },
  axes: ['look'],
  looks: videoLooks,
  holds: null,
  program: programStyles({
    ...flatFigure('box'),
    'screen/display': 'block',
    'screen/width': '100%',
    'screen/height': 'auto',
    'screen/aspectRatio': 1.7778,
    'screen/objectFit': 'cover',
    'screen/backgroundColor': 'role.raised',
    'screen/overflowX': 'clip',
    'caption/display': 'block',
    'caption/color': 'role.muted',
    'caption/marginTop': '0.5rem',
    'caption/fontSize': '0.875em',
  }),
  content: {
    file: { type: 'link', label: 'Video', files: true },
    captions: { type: 'link', label: 'Captions (WebVTT)', files: true },
    poster: { type: 'asset', label: 'Picture until it is played' },
    title: { type: 'plain', label: 'Name' },
    caption: { type: 'plain', label: 'Caption' },
  },
  sample: { poster: null, title: 'A video', caption: 'What the video shows' },
  begins: { poster: null, title: '', caption: '' },
  markup: (content, context) => {
    const file = fileIn(content, 'file', context);
    const captions = fileIn(content, 'captions', context);
    const title = plain(content, 'title');
    const poster = typeof content.poster === 'string' ? context.asset(content.poster) : null;
    const address = poster && context.assetUrl(poster);
    const still = address
      ? h('img', {
          part: 'screen',
          src: address,
          width: poster.width,
          height: poster.height,
          alt: title,
          loading: 'lazy',
        })
      : h('div', { part: 'screen', role: title ? 'img' : null, 'aria-label': title || null });
    return h(
      'figure',
      { part: 'box' },
      file !== null
        ? h(
            'video',
            {
              part: 'screen',
              src: file || null,
              poster: address,
              controls: true,
              // Nothing is fetched, and nothing makes a sound, before somebody asks for it.
              preload: 'none',
              playsinline: true,
              'aria-label': title || null,
            },
            captions &&
              h('track', { kind: 'captions', src: captions, srclang: context.language, default: true }),
          )
        : still,
      plain(content, 'caption') !== '' && h('figcaption', { part: 'caption' }, plain(content, 'caption')),
    );
  },
  summary: content => plain(content, 'title') || plain(content, 'caption'),
});
