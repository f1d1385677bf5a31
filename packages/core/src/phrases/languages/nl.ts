import type { Language } from '../phrase.ts';

export const nl: Language = {
  code: 'nl',
  name: 'Nederlands',
  phrases: {
    skip: 'Naar de inhoud',
    newWindow: 'Opent in een nieuw venster',
    mainNavigation: 'Hoofdnavigatie',
    menu: 'Menu',
    pagesBelow: 'Meer in {page}',
    table: 'Tabel',
    largeView: 'Grote weergave',
    slides: 'Diavoorstelling',
    previous: 'Vorige',
    next: 'Volgende',
    close: 'Sluiten',
    pause: 'Stoppen',
    play: 'Doorgaan',
    help: 'Hulp',
    searchHelp: 'Zoek in de antwoorden',
    nothingFound: 'Niets gevonden. Probeer andere woorden.',
    loadsFrom: 'Er wordt niets van {host} geladen voordat u erom vraagt.',
    showHere: 'Hier tonen',
    required: 'Velden met * zijn verplicht.',
    notFound: 'Pagina niet gevonden',
    notFoundText: 'Er staat niets op dit adres. De pagina is misschien verplaatst.',
  },
};
