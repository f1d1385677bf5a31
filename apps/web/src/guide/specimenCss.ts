import grotesque from '@fontsource-variable/hanken-grotesk/files/hanken-grotesk-latin-wght-normal.woff2?url';
import mono from '@fontsource-variable/sometype-mono/files/sometype-mono-latin-wght-normal.woff2?url';

const face = (family: string, url: string) =>
  `@font-face{font-family:"${family}";font-weight:100 900;src:url("${new URL(url, location.href).href}") format("woff2-variations")}`;
const FACES = `${face('Hanken Grotesk Variable', grotesque)}${face('Sometype Mono Variable', mono)}`;

/** The program's own face around the cells; what is inside a cell is the site's alone. */
export const SPECIMEN_CSS = `
:root{--paper:oklch(.99 0 0);--ground:oklch(.945 0 0);--hair:oklch(.875 0 0);--ink:oklch(.24 0 0);--muted:oklch(.48 0 0);--teal:oklch(.43 .075 205)}
@media (prefers-color-scheme:dark){:root{--paper:oklch(.23 0 0);--ground:oklch(.185 0 0);--hair:oklch(.34 0 0);--ink:oklch(.93 0 0);--muted:oklch(.7 0 0);--teal:oklch(.78 .085 200)}}
html,body{margin:0;background:var(--ground);color:var(--ink)}
body{font:13px/1.4 "Hanken Grotesk Variable",system-ui,sans-serif}
${FACES}
.grid{min-width:calc(108px + var(--columns)*var(--least))}
.row{display:grid;grid-template-columns:108px repeat(var(--columns),minmax(var(--least),1fr));content-visibility:auto;contain-intrinsic-size:auto 96px}
html.dragged .row:not(.head,[data-near]){content-visibility:hidden}
.head{position:sticky;top:0;z-index:2;content-visibility:visible;background:var(--ground)}
.band>div{position:sticky;left:0;width:max-content;padding:9px 12px 3px;font-weight:600;font-size:11px;color:var(--muted)}
.band{background:var(--ground);border-top:1px solid var(--hair)}
.row>*{border-top:1px solid var(--hair)!important}
.head>*{border-top:0!important}
.head>div,.name{padding:10px 12px;font-weight:600;font-size:12px}
.head>div>span,.name>span{display:block;color:var(--muted);font-weight:400;font-size:11px;font-family:"Sometype Mono Variable",monospace}
.name{background:var(--ground);position:sticky;left:0;z-index:1}
.cell{position:relative;padding:14px;min-width:0;overflow:clip;cursor:pointer;outline:none}
.inner{zoom:calc(var(--zoom)*var(--fit,1));overflow-wrap:normal;display:flex;flex-wrap:wrap;gap:14px;align-items:center}
.inner>*{min-width:0}
.cell:focus-visible::after,.cell[data-chosen]::after{content:"";position:absolute;inset:5px;pointer-events:none;--c:var(--mark,var(--teal));background:linear-gradient(var(--c),var(--c)) 0 0/10px 2px,linear-gradient(var(--c),var(--c)) 0 0/2px 10px,linear-gradient(var(--c),var(--c)) 100% 0/10px 2px,linear-gradient(var(--c),var(--c)) 100% 0/2px 10px,linear-gradient(var(--c),var(--c)) 0 100%/10px 2px,linear-gradient(var(--c),var(--c)) 0 100%/2px 10px,linear-gradient(var(--c),var(--c)) 100% 100%/10px 2px,linear-gradient(var(--c),var(--c)) 100% 100%/2px 10px;background-repeat:no-repeat}
.cell[data-dark]{--mark:oklch(.85 .085 200)}
`;
