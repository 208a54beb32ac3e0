/** The small page the stand-in is steered from. No framework: a few buttons that post a word. */
export const PAGE = `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Stand-in stick, crate and laboratory</title>
<style>
  body { font: 16px/1.5 system-ui, sans-serif; background: #f4eee2; color: #2a2420; margin: 0 auto; padding: 24px; max-width: 760px; }
  h1 { font-size: 22px; margin: 0 0 4px; }
  button { font: inherit; min-height: 44px; padding: 0 16px; margin: 0 8px 8px 0; border: 1px solid #8c7d68; border-radius: 8px; background: #fffcf6; cursor: pointer; }
  button.main { background: #27476b; color: #fffcf6; }
  #log { background: #fffcf6; border: 1px solid #d5c8b2; border-radius: 8px; padding: 12px; min-height: 120px; list-style: none; }
  select { font: inherit; min-height: 44px; }
  p { margin: 4px 0 12px; }
</style>
<h1>Stick reader and weigh crate, stand-in</h1>
<p>They speak as the real ones do: a number when the stick reads, the crate’s load ten times a second. Next: <b id="next"></b></p>
<p><label>Flock <select id="flock"></select></label></p>
<div id="buttons"></div>
<ul id="log" aria-live="polite"></ul>
<h1>Laboratory, stand-in</h1>
<p>Takes the tubes of a job as the file (CSV) of its tube sheet, and gives a file of results back.</p>
<p><label>Tube sheet <input type="file" id="sheet" accept=".csv"></label>
<label>It works <select id="mood"><option value="slips">with slips: two exchanged, one in doubt, one missing, one too many</option><option value="careful">carefully</option></select></label></p>
<p id="answer" aria-live="polite"></p>
<script src="/page.js"></script>
`;

export const PAGE_SCRIPT = `
const words = { come: 'Next animal comes', leave: 'It leaves the crate', missed: 'Comes, not read', double: 'Comes, read three times', wrong: 'Comes, the one behind is read', unknown: 'Comes with a number nobody wears', garbled: 'A broken number', disconnect: 'Cable out for 5 s' };
const show = async () => {
  const state = await (await fetch('/state')).json();
  document.getElementById('next').textContent = state.next || 'nobody';
  const flock = document.getElementById('flock');
  if (flock.options.length !== state.groups.length) {
    flock.replaceChildren(...state.groups.map((g) => new Option(g, g)));
    flock.value = state.group;
  }
};
const post = async (path, body) => {
  const answer = await fetch(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  const { did } = await answer.json();
  const line = document.createElement('li');
  line.textContent = did;
  document.getElementById('log').prepend(line);
  await show();
};
for (const [command, text] of Object.entries(words)) {
  const button = document.createElement('button');
  button.textContent = text;
  if (command === 'come') button.className = 'main';
  button.onclick = () => post('/do', { command });
  document.getElementById('buttons').append(button);
}
document.getElementById('sheet').onchange = async (e) => {
  const file = e.target.files[0];
  if (!file) return;
  const mood = document.getElementById('mood').value;
  const answer = await fetch('/laboratory?mood=' + mood, { method: 'POST', body: await file.text() });
  const said = document.getElementById('answer');
  if (!answer.ok) return void (said.textContent = (await answer.json()).did);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(await answer.blob());
  link.download = 'results.csv';
  link.textContent = 'results.csv';
  said.replaceChildren('The laboratory answers: ', link);
};
document.getElementById('flock').onchange = (e) => post('/flock', { group: e.target.value });
show();
`;
