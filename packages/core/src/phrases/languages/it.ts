import type { Language } from '../phrase.ts';

export const it: Language = {
  code: 'it',
  name: 'Italiano',
  phrases: {
    skip: 'Vai al contenuto',
    newWindow: 'Si apre in una nuova finestra',
    mainNavigation: 'Navigazione principale',
    menu: 'Menu',
    pagesBelow: 'Altro in {page}',
    table: 'Tabella',
    largeView: 'Vista ingrandita',
    slides: 'Presentazione',
    previous: 'Precedente',
    next: 'Successivo',
    close: 'Chiudi',
    pause: 'Ferma lo scorrimento',
    play: 'Riprendi lo scorrimento',
    help: 'Aiuto',
    searchHelp: 'Cerca tra le risposte',
    nothingFound: 'Nessun risultato. Provi con altre parole.',
    loadsFrom: 'Da {host} non viene caricato nulla finché non lo chiede.',
    showHere: 'Mostra qui',
    required: 'I campi con * sono obbligatori.',
    notFound: 'Pagina non trovata',
    notFoundText: 'A questo indirizzo non c’è nulla. La pagina potrebbe essere stata spostata.',
  },
};
