import { createGlobalStyle } from 'styled-components';
import { BARN_VARIABLES, colour, fonts, LIGHT_VARIABLES } from './tokens';

export const GlobalStyle = createGlobalStyle`
  :root { ${LIGHT_VARIABLES} color-scheme: light; }
  :root[data-theme='barn'] { ${BARN_VARIABLES} color-scheme: dark; }
  *, *::before, *::after { box-sizing: border-box; }
  html, body, #root { height: 100%; margin: 0; }
  body {
    background: ${colour('ground')};
    color: ${colour('ink')};
    font: 400 15px/1.4 ${fonts.text};
    font-variant-numeric: tabular-nums;
  }
  h1, h2, h3 { font-family: ${fonts.heading}; margin: 0; line-height: 1.2; font-weight: 650; }
  summary { padding-block: 12px; min-height: 44px; cursor: pointer; }
  /* Said by a screen reader alone. */
  .unseen { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
  h1 { font-size: 26px; }
  h2 { font-size: 18px; }
  h3 { font-size: 16px; }
  p { margin: 0; }
  a { color: ${colour('indigo')}; }
  button, input, select, textarea { font: inherit; color: inherit; }
  table { border-collapse: collapse; width: 100%; }
  [data-focus-visible], a:focus-visible, button:focus-visible, input:focus-visible, select:focus-visible, textarea:focus-visible, [tabindex]:focus-visible {
    outline: 3px solid ${colour('indigo')};
    outline-offset: 1px;
  }
  /* A title takes the focus when its place is come to; nothing is pressed there. */
  h1[tabindex]:focus-visible { outline: none; }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { transition: none !important; animation: none !important; } }
  @media print {
    @page { size: A4; margin: 14mm; }
    :root { ${LIGHT_VARIABLES} }
    body { background: #fff; color: #000; font-size: 11pt; }
    .no-print { display: none !important; }
    section { background: none !important; border: 0 !important; padding: 0 !important; }
    p, th, td { color: #000 !important; }
  }
`;
