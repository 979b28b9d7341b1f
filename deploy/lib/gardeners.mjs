// Gardeners at work while a site is drilled: gardeners.mjs ADDRESS COUNT FOLDER. Each edits, logs and now and then has something worked out;
// what is not answered is sent again as it was, as the pages do. When FOLDER/enough is there they stop, and everything that was
// acknowledged is looked for. FOLDER/events has a line for each thing that happened meanwhile.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const [base, count, folder] = [process.argv[2], Number(process.argv[3]), process.argv[4]];
const AWAY = [0, 502, 503, 504];
const PATIENCE_MS = 20_000;
const AGAIN_MS = 200;

const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const enough = () => existsSync(`${folder}/enough`);
const taken = [];
const away = [];
const errors = [];

class Gardener {
  cookies = new Map();
  hours = 16;
  logged = [];

  constructor(n) {
    this.n = n;
  }

  async ask(method, path, body) {
    const headers = { accept: 'application/json', cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ') };
    if (body !== undefined) headers['content-type'] = 'application/json';
    const token = [...this.cookies.keys()].find((name) => name.startsWith('XSRF-TOKEN'));
    if (token !== undefined) headers['x-xsrf-token'] = decodeURIComponent(this.cookies.get(token));
    try {
      const answer = await fetch(base + path, { method, headers, body: body && JSON.stringify(body), signal: AbortSignal.timeout(PATIENCE_MS) });
      const text = await answer.text();
      for (const cookie of answer.headers.getSetCookie()) {
        const [pair] = cookie.split(';');
        this.cookies.set(pair.slice(0, pair.indexOf('=')), pair.slice(pair.indexOf('=') + 1));
      }
      return { status: answer.status, text };
    } catch (error) {
      return { status: 0, text: error.message };
    }
  }

  // The same again until somebody answers; what is answered with anything but a yes is an error that a person would see.
  async until(kind, method, path, body, fine = []) {
    for (;;) {
      const began = Date.now();
      const { status, text } = await this.ask(method, path, body);
      if (AWAY.includes(status)) {
        away.push({ at: began / 1000, status, waited: Date.now() - began });
        await sleep(AGAIN_MS);
        continue;
      }
      if ((status < 200 || status > 299) && !fine.includes(status)) errors.push(`${kind}: ${status} ${text.slice(0, 160)}`);
      else if (kind === 'edit') taken.push({ n: this.n, began: began / 1000, at: Date.now() / 1000 });
      return { status, body: text.startsWith('{') ? JSON.parse(text) : null };
    }
  }

  async arrive() {
    await this.until('arrival', 'GET', '/');
    this.season = (await this.until('list', 'GET', '/api/seasons')).body.seasons[0].id;
    this.path = `/api/seasons/${this.season}`;
  }

  async edit() {
    const to = this.hours === 16 ? 14 : 16;
    const change = { path: ['lights', 'led', 'hours_per_day'], from: this.hours, to };
    const { status } = await this.until('edit', 'PATCH', this.path, { changes: [change], label: 'lamp hours', setup: 'bench' });
    if (status === 200) this.hours = to;
  }

  async log() {
    const n = this.logged.length;
    const id = `phone-${this.n}-${String(n).padStart(5, '0')}`;
    const entry = { id, on: '2027-04-21', at: new Date(Date.UTC(2027, 3, 21) + n * 1000).toISOString(), kind: 'note', note: `look ${n}` };
    const { status } = await this.until('log', 'POST', `${this.path}/log`, { entries: [entry] });
    if (status < 300) this.logged.push(id);
  }

  async work() {
    for (let round = 0; !enough(); round++) {
      await this.edit();
      if (round % 3 === 0) await this.log();
      if (round % 10 === 5) await this.until('list', 'GET', '/api/seasons');
      if (round % 20 === 7) await this.until('reckoning', 'POST', `${this.path}/work`, { kind: 'advice', setup: 'bench' }, [409, 429]);
      await sleep(100);
    }
  }

  // What of what was acknowledged is not there, and what is there twice.
  async missing() {
    const found = [];
    const season = (await this.until('season', 'GET', `${this.path}?setup=bench`)).body.season;
    if (season.lights.find(({ id }) => id === 'led').hours_per_day !== this.hours) found.push(`an edit of gardener ${this.n}`);
    const entries = (await this.until('log', 'GET', `${this.path}/log`)).body.entries.map(({ id }) => id);
    for (const id of this.logged) {
      const times = entries.filter((one) => one === id).length;
      if (times !== 1) found.push(`entry ${id}, there ${times} times`);
    }
    if (entries.length !== this.logged.length) found.push(`${entries.length} entries of gardener ${this.n} for ${this.logged.length}`);
    return found;
  }
}

const all = Array.from({ length: count }, (_, n) => new Gardener(n));
for (const gardener of all) await gardener.arrive();
writeFileSync(`${folder}/arrived`, '');
await Promise.all(all.map((gardener) => gardener.work()));
const lost = (await Promise.all(all.map((gardener) => gardener.missing()))).flat();

const median = (numbers) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? NaN;
const events = readFileSync(`${folder}/events`, 'utf8').trim().split('\n').filter(Boolean)
  .map((line) => ({ at: Number(line.split(' ')[0]), name: line.slice(line.indexOf(' ') + 1) }));
const entries = all.reduce((sum, { logged }) => sum + logged.length, 0);
console.log(`${count} gardeners: ${taken.length} edits and ${entries} entries acknowledged, ${away.length} times "away", ` +
  `${errors.length} errors shown, ${lost.length} lost or doubled`);
for (const [n, event] of events.entries()) {
  if (event.name.endsWith('throughput ends')) continue;
  if (event.name.endsWith('throughput')) {
    const [from, to] = [event.at, events[n + 1].at];
    const within = taken.filter(({ at }) => at >= from && at < to);
    const usual = median(within.map(({ began, at }) => at - began)) * 1000;
    console.log(`  ${event.name} ${(within.length / (to - from)).toFixed(1)} edits a second, median ${usual.toFixed(0)} ms`);
    continue;
  }
  // Of each gardener the first edit that was begun after it and acknowledged: the quickest, and the last of all.
  const waits = all.map(({ n: who }) => (taken.find((one) => one.n === who && one.began > event.at)?.at ?? Infinity) - event.at);
  const until = events[n + 1]?.at ?? Infinity;
  const told = away.filter(({ at }) => at >= event.at && at < until);
  const kinds = [...new Set(told.map(({ status }) => status))].map((status) => `${told.filter((one) => one.status === status).length} × ${status}`).join(', ');
  const [first, last] = [Math.min(...waits), Math.max(...waits)].map((wait) => `${wait.toFixed(1)} s`);
  console.log(`  ${event.name}: next edit after ${first}, for the last of all after ${last}; ${told.length} times "away"${kinds && ` (${kinds})`}`);
}
for (const line of [...new Set(errors)].slice(0, 8)) console.log(`  error: ${line}`);
for (const line of lost.slice(0, 8)) console.log(`  lost: ${line}`);
process.exit(lost.length + errors.length > 0 || taken.length === 0 ? 1 : 0);
