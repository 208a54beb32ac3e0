import { say, type Language } from '@yaylak/contract';
import { DEVICE_KINDS, KIND_NAMES, KIND_STEPS, type DeviceKind } from './deviceKinds';

interface Desk {
  readonly kind: DeviceKind;
  /** Where the book is open to who trusts the authority, by name first. */
  readonly openAt: readonly string[];
  /** Path of the certificate. */
  readonly certificate: string;
  readonly language: Language;
}

const ESCAPED: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => ESCAPED[c] ?? c);

/** Takes the code along: it stands behind the #, which no browser sends. */
export const DESK_SCRIPT = `for (const link of document.querySelectorAll('a[data-on]')) link.href += location.hash;\n`;

/** What one step says, with what is pressed in it. */
const step = (title: string, body: string): string => `<li><h2>${escaped(title)}</h2>${body}</li>`;

/** How a device learns to trust this computer, and goes on to the book. */
export function deskPage({ kind, openAt, certificate, language }: Desk): string {
  const others = DEVICE_KINDS.filter((one) => one !== kind).map(
    (one) => `<a data-on href="/join?kind=${one}">${escaped(KIND_NAMES[one])}</a>`,
  );
  const doors = openAt.map((address, i) => {
    const to = `<a class="${i === 0 ? 'main' : 'plain'}" data-on href="${escaped(address)}/join">${escaped(address.replace('https://', ''))}</a>`;
    return i === 0 ? to : `<p>${escaped(say('If that address is not found:'))}</p>${to}`;
  });
  return `<!doctype html>
<html lang="${language}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(say('Let this device in'))} · Yaylak</title>
<link rel="stylesheet" href="/join.css">
</head>
<body>
<main>
<h1>${escaped(say('Let this device in'))}</h1>
<p>${escaped(
    say(
      'This device does not know the computer with the book yet. Let it trust that computer, once; from then on everything between the two goes over an encrypted line, and the book works in the barn without a network.',
    ),
  )}</p>
<ol>
${step(
  say('Download the certificate'),
  `<p>${escaped(say('It works for computers within a house only, and for nothing else you open.'))}</p><a class="main" href="${certificate}" download>${escaped(say('Download the certificate'))}</a>`,
)}
${step(
  say('Let the device trust it: {kind}', { kind: KIND_NAMES[kind] }),
  `<ul>${KIND_STEPS[kind].map((one) => `<li>${escaped(say(one))}</li>`).join('')}</ul><p>${escaped(say('Another device?'))} ${others.join(' · ')}</p>`,
)}
${step(say('Open the book'), `${doors.join('')}<p>${escaped(say('If a warning comes instead of the book, the second step is not done yet: do not go on past it.'))}</p>`)}
</ol>
</main>
<script src="/join.js"></script>
</body>
</html>
`;
}

/** The colours of the application, by day and by night; letters of the device, as nothing else is fetched here. */
export const DESK_STYLE = `
:root { --ground: #F4EEE2; --panel: #FFFCF6; --ink: #2A2420; --line: #D5C8B2; --indigo: #27476B; --on: #FFFCF6; color-scheme: light dark; }
@media (prefers-color-scheme: dark) {
  :root { --ground: #1D1916; --panel: #2A2420; --ink: #F4EEE2; --line: #4A4038; --indigo: #9DBDE2; --on: #14110F; }
}
body { margin: 0; background: var(--ground); color: var(--ink); font: 16px/1.5 system-ui, sans-serif; }
main { max-width: 640px; margin: 0 auto; padding: 24px 16px 64px; }
h1 { font-size: 26px; line-height: 1.2; }
h2 { font-size: 18px; margin: 0; }
ol { padding: 0; list-style: none; counter-reset: step; }
ol > li { counter-increment: step; background: var(--panel); border: 1px solid var(--line); border-radius: 8px; padding: 16px; margin-block: 16px; }
ol > li > h2::before { content: counter(step) '. '; }
a { color: var(--indigo); display: inline-block; padding-block: 11px; overflow-wrap: anywhere; }
a.main, a.plain { padding: 12px 16px; border-radius: 6px; border: 1px solid var(--indigo); text-decoration: none; }
a.main { background: var(--indigo); color: var(--on); font-weight: 600; }
a:focus-visible { outline: 3px solid var(--indigo); outline-offset: 2px; }
`;
