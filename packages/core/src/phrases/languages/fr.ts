import type { Language } from '../phrase.ts';

export const fr: Language = {
  code: 'fr',
  name: 'Français',
  phrases: {
    skip: 'Aller au contenu',
    newWindow: 'S’ouvre dans une nouvelle fenêtre',
    mainNavigation: 'Navigation principale',
    menu: 'Menu',
    pagesBelow: 'Plus dans {page}',
    table: 'Tableau',
    largeView: 'Vue agrandie',
    slides: 'Diaporama',
    previous: 'Précédent',
    next: 'Suivant',
    close: 'Fermer',
    pause: 'Arrêter le défilement',
    play: 'Reprendre le défilement',
    help: 'Aide',
    searchHelp: 'Chercher dans les réponses',
    nothingFound: 'Aucun résultat. Essayez d’autres mots.',
    loadsFrom: 'Rien n’est chargé depuis {host} avant que vous ne le demandiez.',
    showHere: 'Afficher ici',
    required: 'Les champs avec * sont obligatoires.',
    notFound: 'Page introuvable',
    notFoundText: 'Il n’y a rien à cette adresse. La page a peut-être été déplacée.',
  },
};
