// Many people in the main room of a class; rooms open, and in each some draw. Measures how long until everybody has their board, and what
// reaches them from then on.
// Plan on standard input: { url, origin, cookies, staff, hello, open, rate, seconds }, `rate` of all rooms together
// Answer: { arrived, open95, sent, lost, perSecond, p50, p99 }; times in ms.
const { readFileSync } = require('node:fs');
const WebSocket = require('ws');

const plan = JSON.parse(readFileSync(0, 'utf8'));
const latencies = [];
const arrivals = [];
const boards = new Map();
let deliveries = 0;
let opened = 0;

const now = () => Math.round((performance.timeOrigin + performance.now()) * 1000);
const pick = (values, share) => (values.length ? values.sort((a, b) => a - b)[Math.round((values.length - 1) * share)] / 1000 : 0);
const sentAt = Buffer.from('"id":"at_');

function connect(cookie) {
  return new Promise((resolve, reject) => {
    const socket = new WebSocket(plan.url, { headers: { Cookie: cookie, Origin: plan.origin }, perMessageDeflate: false });
    socket.on('error', reject);
    socket.on('open', () => socket.send(JSON.stringify(plan.hello)));
    socket.on('message', (data) => {
      const text = data.toString('latin1');
      if (text.startsWith('{"t":"welcome"')) resolve(socket);
      const gained = /^\{"t":"gained","stream":"(board\/[\w-]+--[\w-]+)"/.exec(text);
      if (gained && !boards.has(socket)) {
        boards.set(socket, gained[1]);
        arrivals.push(now() - opened);
      }
      for (let at = data.indexOf(sentAt); at >= 0; at = data.indexOf(sentAt, at + 9)) {
        deliveries++;
        latencies.push(now() - parseInt(text.slice(at + sentAt.length, at + sentAt.length + 16), 10));
      }
    });
  });
}

async function open() {
  const headers = { Cookie: plan.staff, Origin: plan.origin, 'Content-Type': 'application/json' };
  // The token is kept in the session, which is in the cookie.
  const session = await fetch(`${plan.origin}/api/session`, { headers });
  const { csrf } = await session.json();
  headers.Cookie = session.headers.getSetCookie()[0]?.split(';')[0] ?? plan.staff;
  // As the page does on which rooms are dealt.
  await fetch(`${plan.origin}${plan.open.replace(/\/[^/]+\/open$/, '')}`, { headers });
  opened = now();
  const answer = await fetch(`${plan.origin}${plan.open}`, { method: 'POST', headers: { ...headers, 'X-CSRF-Token': csrf }, body: '{}' });
  if (!answer.ok) throw new Error(await answer.text());
}

async function main() {
  const sockets = [];
  for (let i = 0; i < plan.cookies.length; i += 20) sockets.push(...(await Promise.all(plan.cookies.slice(i, i + 20).map(connect))));
  await new Promise((done) => setTimeout(done, 1500));
  await open();
  const until = performance.now() + 20_000;
  while (boards.size < sockets.length && performance.now() < until) await new Promise((done) => setTimeout(done, 10));
  await new Promise((done) => setTimeout(done, 1500));
  const inRoom = new Map();
  for (const board of boards.values()) inRoom.set(board, (inRoom.get(board) ?? 0) + 1);
  const began = performance.now();
  const total = plan.rate * plan.seconds;
  let [sent, expected] = [0, 0];
  await new Promise((done) => {
    const timer = setInterval(() => {
      const due = Math.min(Math.floor(((performance.now() - began) / 1000) * plan.rate), total);
      for (; sent < due; sent++) {
        const socket = sockets[sent % sockets.length];
        const stream = boards.get(socket);
        if (!stream) continue;
        const mark = { id: `at_${now()}_${sent}`, page: 'p1', kind: 'stroke', x: 10 + (sent % 900), y: 20, ink: 'lake', width: 4, took: 300, points: [0, 0, 12, 7.5, 25, 3, 41, 18.5, 60, 4] };
        socket.send(JSON.stringify({ t: 'do', id: `r${sent}`, do: 'board.put', stream, with: { marks: [mark] } }));
        expected += inRoom.get(stream);
      }
      if (sent < total) return;
      clearInterval(timer);
      done();
    }, 2);
  });
  const last = performance.now() + 5000;
  while (deliveries < expected && performance.now() < last) await new Promise((done) => setTimeout(done, 10));
  const seconds = (performance.now() - began) / 1000;
  console.log(JSON.stringify({ arrived: boards.size, open95: pick(arrivals, 0.95), sent, lost: expected - deliveries, perSecond: deliveries / seconds, p50: pick(latencies, 0.5), p99: pick(latencies, 0.99) }));
  process.exit(0);
}
main();
