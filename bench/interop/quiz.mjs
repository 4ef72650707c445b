// Plays quiz packages in a player of others, in a browser without a window: right answers get full points and nothing is said, the value of a
// slip gets what is said of it and loses its points. node quiz.mjs BROWSER FOLDER…, each folder an unpacked package.
import {readFileSync, readdirSync} from 'node:fs';
import {createServer} from 'node:http';
import {join} from 'node:path';
import {chromium} from 'playwright-core';

const [browserPath, ...folders] = process.argv.slice(2);
const player = readFileSync(new URL('./node_modules/@citolab/qti-components/cdn/index.js', import.meta.url));
const types = {js: 'text/javascript', xml: 'text/xml', png: 'image/png'};
const server = createServer((request, response) => {
  // Files of a package are at /package/NUMBER/, so that the pictures of an item are found where the item says.
  const [, place, folder, ...path] = request.url.split('/');
  response.writeHead(200, {'content-type': types[request.url.split('.').pop()] ?? 'text/html'});
  response.end(request.url === '/player.js' ? player : place === 'package' ? readFileSync(join(folders[+folder], ...path))
    : '<!doctype html><meta charset="utf-8"><script type="module" src="/player.js"></script><body></body>');
});
await new Promise(done => server.listen(0, done));
const browser = await chromium.launch({executablePath: browserPath, args: ['--no-sandbox']});
const page = await browser.newPage();
const broken = [];
page.on('pageerror', error => broken.push('the player says: ' + error.message));
await page.goto(`http://localhost:${server.address().port}/`);
await page.waitForFunction(() => customElements.get('qti-assessment-item'));

async function load(url) {
  await page.evaluate(address => {
    document.body.innerHTML = '';
    const container = document.createElement('item-container');
    container.setAttribute('item-url', address);
    document.body.append(document.createElement('qti-item'));
    document.body.firstChild.append(container);
  }, url);
  await page.waitForFunction(() => document.querySelector('item-container')?.shadowRoot?.querySelector('qti-assessment-item qti-text-entry-interaction'));
  await page.waitForTimeout(150);
}

async function play(answers) {
  return page.evaluate(async given => {
    const item = document.querySelector('item-container').shadowRoot.querySelector('qti-assessment-item');
    item.resetResponses();
    given.forEach(([id, value]) => item.updateResponseVariable(id, value));
    await new Promise(done => setTimeout(done, 50));
    item.processResponse();
    await new Promise(done => setTimeout(done, 50));
    const value = name => item.variables.find(one => one.identifier === name).value;
    const shown = [...item.querySelectorAll('qti-feedback-block')].filter(block => getComputedStyle(block).display !== 'none' && block.textContent.trim()
      && (block.getAttribute('showstatus') === 'on' || block.showStatus === 'on')).map(block => block.textContent.trim());
    return {score: +value('SCORE'), most: +value('MAXSCORE'), feedback: value('FEEDBACK') ?? [], shown};
  }, answers);
}

let items = 0;
let slips = 0;
for (let f = 0; f < folders.length; f++) {
  for (const name of readdirSync(join(folders[f], 'items'))) {
    const xml = readFileSync(join(folders[f], 'items', name), 'utf8');
    const right = [...xml.matchAll(/<qti-response-declaration identifier="([^"]+)"[^>]*>\s*<qti-correct-response>\s*<qti-value>([^<]+)</g)].map(m => [m[1], m[2]]);
    const wrong = [...xml.matchAll(/<qti-response-else-if>\s*<qti-equal[^>]*>\s*<qti-variable identifier="([^"]+)"\/>\s*<qti-base-value[^>]*>([^<]+)<[^]*?<qti-base-value base-type="identifier">([^<]+)</g)];
    await load(`/package/${f}/items/${name}`);
    const width = await page.evaluate(() => document.querySelector('item-container').shadowRoot.querySelector('img')?.naturalWidth ?? 0);
    if (!(width > 0)) {
      broken.push(`${name}: its picture is not shown`);
    }
    const best = await play(right);
    items++;
    if (Math.abs(best.score - best.most) > 1e-6 || [].concat(best.feedback).length > 0) {
      broken.push(`${name}: right answers get ${best.score} of ${best.most}, said ${JSON.stringify(best.feedback)}`);
    }
    for (const [, id, value, feedback] of wrong.slice(0, 2)) {
      const one = await play(right.map(([field, answer]) => [field, field === id ? value : answer]));
      slips++;
      const text = xml.match(new RegExp(`identifier="${feedback}"><qti-content-body><p>([^<]+)<`))[1];
      if (!(one.score < best.most) || ![].concat(one.feedback).includes(feedback) || !one.shown.some(shown => shown.includes(text.slice(0, 20)))) {
        broken.push(`${name}: ${id} = ${value} gets ${JSON.stringify(one)}`);
      }
    }
  }
}
await browser.close();
server.close();
console.log(`${items} items played, ${slips} values of slips typed, ${broken.length} not as they should be`);
broken.slice(0, 10).forEach(line => console.log('  ' + line));
process.exit(broken.length || !items || !slips ? 1 : 0);
