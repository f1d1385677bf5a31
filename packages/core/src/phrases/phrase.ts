/** What the program says on published pages by itself, and what each is for where it is put into other words. */
export const PHRASES = {
  skip: 'Link past the header, for keys and screen readers',
  newWindow: 'Said of links that open a new window',
  mainNavigation: 'Name of a navigation that has none',
  menu: 'Name of the button that opens a navigation',
  pagesBelow: 'Name of the button that opens the pages below one; {page} is what that is called',
  table: 'Name of a table that has no caption',
  largeView: 'Name of the large view of a picture',
  slides: 'Name and kind of slides that have no name',
  previous: 'Name of the control that goes back',
  next: 'Name of the control that goes on',
  close: 'Name of the control that closes',
  pause: 'Name of the control that stops what moves by itself',
  play: 'Name of the control that lets it go on',
  help: 'Name of a help panel that has none',
  searchHelp: 'Name of the field that searches a help panel',
  nothingFound: 'What it says where nothing matches',
  loadsFrom: 'Said before a page of others is shown; {host} is where it comes from',
  showHere: 'Label of the control that shows it',
  required: 'Note in a form on what is required',
  notFound: 'Title of the page that is shown where there is none',
  notFoundText: 'What that page says',
} as const;
export type PhraseName = keyof typeof PHRASES;
export const PHRASE_NAMES = Object.keys(PHRASES).filter((name): name is PhraseName => name in PHRASES);

/** One language in which all of it is said. */
export interface Language {
  /** BCP 47, the language alone. */
  readonly code: string;
  /** What its speakers call it. */
  readonly name: string;
  readonly phrases: Readonly<Record<PhraseName, string>>;
}
