import type { Language } from '../phrase.ts';

export const de: Language = {
  code: 'de',
  name: 'Deutsch',
  phrases: {
    skip: 'Zum Inhalt springen',
    newWindow: 'Öffnet in einem neuen Fenster',
    mainNavigation: 'Hauptnavigation',
    menu: 'Menü',
    pagesBelow: 'Mehr unter {page}',
    table: 'Tabelle',
    largeView: 'Großansicht',
    slides: 'Bilderfolge',
    previous: 'Zurück',
    next: 'Weiter',
    close: 'Schließen',
    pause: 'Anhalten',
    play: 'Weiterlaufen lassen',
    help: 'Hilfe',
    searchHelp: 'Antworten durchsuchen',
    nothingFound: 'Nichts gefunden. Versuchen Sie andere Wörter.',
    loadsFrom: 'Von {host} wird erst etwas geladen, wenn Sie es wünschen.',
    showHere: 'Hier anzeigen',
    required: 'Felder mit * müssen ausgefüllt werden.',
    notFound: 'Seite nicht gefunden',
    notFoundText: 'Unter dieser Adresse gibt es nichts. Vielleicht ist die Seite umgezogen.',
  },
};
