import { type Looks, padded } from '../kit/looks.ts';

const inOneRow = { 'frame/rowStart': 1, 'words/rowStart': 1, 'words/inFront': 1 } as const;
/** Below each other again where there is no room for more. */
const stackedWhenNarrow = {
  'frame@narrow/columnStart': 1,
  'words@narrow/columnStart': 1,
  'words@narrow/rowStart': 2,
} as const;
const onOwnGround = { 'words/backgroundColor': 'role.surface', ...padded('words', '1.5rem') };

export const pictureTextLooks: Looks = {
  look: {
    'Picture at the end': { 'frame/order': 1, 'frame@narrow/order': 0 },
    'Small picture': {
      'frame/columnSpan': 4,
      'words/columnSpan': 8,
      'picture/aspectRatio': 1,
      'pair/alignItems': 'start',
    },
    Overlapping: {
      ...inOneRow,
      ...onOwnGround,
      'frame/columnStart': 1,
      'frame/columnSpan': 8,
      'words/columnStart': 7,
      ...stackedWhenNarrow,
    },
    'Overlapping from the end': {
      ...inOneRow,
      ...onOwnGround,
      'frame/columnStart': 5,
      'frame/columnSpan': 8,
      'words/columnStart': 1,
      ...stackedWhenNarrow,
    },
    'Picture behind': {
      ...inOneRow,
      ...onOwnGround,
      'frame/columnStart': 1,
      'frame/columnSpan': 12,
      'picture/aspectRatio': 2,
      'words/columnStart': 2,
      ...stackedWhenNarrow,
    },
    'Picture above': {
      'frame/columnSpan': 12,
      'words/columnSpan': 12,
      'picture/aspectRatio': 2.4,
    },
  },
};
