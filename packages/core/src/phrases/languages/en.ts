import type { Language } from '../phrase.ts';

export const en: Language = {
  code: 'en',
  name: 'English',
  phrases: {
    skip: 'Skip to content',
    newWindow: 'Opens in a new window',
    mainNavigation: 'Main',
    menu: 'Menu',
    pagesBelow: 'More in {page}',
    table: 'Table',
    largeView: 'Large view',
    slides: 'Slides',
    previous: 'Previous',
    next: 'Next',
    close: 'Close',
    pause: 'Stop moving on',
    play: 'Move on',
    help: 'Help',
    searchHelp: 'Search the answers',
    nothingFound: 'Nothing matches. Try other words.',
    loadsFrom: 'Nothing is loaded from {host} before you ask for it.',
    showHere: 'Show it here',
    required: 'Fields with * are required.',
    notFound: 'Page not found',
    notFoundText: 'There is nothing at this address. It may have moved.',
  },
};
