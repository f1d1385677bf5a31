import { rows } from './property.ts';

export const COLOUR = rows('colour', [
  {
    name: 'color',
    css: 'color',
    label: 'Text colour',
    accepts: ['color'],
    keywords: ['currentcolor'],
    inherited: true,
    words: 'foreground ink font',
  },
  {
    name: 'backgroundColor',
    css: 'background-color',
    label: 'Fill',
    accepts: ['color'],
    words: 'background ground surface',
  },
  {
    name: 'textDecorationColor',
    css: 'text-decoration-color',
    label: 'Underline colour',
    accepts: ['color'],
    keywords: ['currentcolor'],
    words: 'link line',
  },
  {
    name: 'accentColor',
    css: 'accent-color',
    label: 'Tick colour',
    accepts: ['color'],
    keywords: ['auto'],
    inherited: true,
    words: 'checkbox radio form accent',
    kinds: ['icon'],
  },
  {
    name: 'opacity',
    css: 'opacity',
    label: 'Opacity',
    accepts: ['number'],
    min: 0,
    max: 1,
    words: 'transparency see-through faded',
  },
]);
