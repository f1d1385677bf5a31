import type { Language } from '../phrase.ts';

export const es: Language = {
  code: 'es',
  name: 'Español',
  phrases: {
    skip: 'Saltar al contenido',
    newWindow: 'Se abre en una ventana nueva',
    mainNavigation: 'Navegación principal',
    menu: 'Menú',
    pagesBelow: 'Más en {page}',
    table: 'Tabla',
    largeView: 'Vista ampliada',
    slides: 'Diapositivas',
    previous: 'Anterior',
    next: 'Siguiente',
    close: 'Cerrar',
    pause: 'Detener',
    play: 'Reanudar',
    help: 'Ayuda',
    searchHelp: 'Buscar en las respuestas',
    nothingFound: 'Sin resultados. Pruebe con otras palabras.',
    loadsFrom: 'No se carga nada de {host} hasta que usted lo pida.',
    showHere: 'Mostrar aquí',
    required: 'Los campos con * son obligatorios.',
    notFound: 'Página no encontrada',
    notFoundText: 'No hay nada en esta dirección. Puede que la página se haya movido.',
  },
};
