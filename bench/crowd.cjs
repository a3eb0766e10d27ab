// Drives many WebSockets at once and measures what reaches them.
// Plan on standard input: { url, origin, cookies, hello, messages: transient|durable|relay, stream, rate, seconds, samples }
// Answer: { sent, deliveries, perSecond, p50, p99, ack50, ack99, lost }; times in ms. Where `samples` are wished for there are
// { seen, answered } too: pairs of when something was sent, in ms since the epoch, and how long it took.
const { readFileSync } = require('node:fs');
const WebSocket = require('ws');

const plan = JSON.parse(readFileSync(0, 'utf8'));
const DONE = Buffer.from('{"t":"done"');
const crowd = process.pid;
const latencies = [];
const acks = [];
const seen = [];
const answered = [];
const waiting = new Map();
let deliveries = 0;
let measuring = false;

const now = () => Math.round((performance.timeOrigin + performance.now()) * 1000);
const pick = (values, share) => (values.length ? values.sort((a, b) => a - b)[Math.round((values.length - 1) * share)] / 1000 : 0);

/** Every message carries when it was sent, in µs, in the id of what it draws. */
function text(n) {
  const at = now();
  if (plan.messages === 'durable') {
    const mark = { id: `at_${at}_${n}_${crowd}`, page: 'p1', kind: 'stroke', x: 10 + (n % 900), y: 20, ink: 'lake', width: 4, took: 300, points: [0, 0, 12, 7.5, 25, 3, 41, 18.5, 60, 4] };
    waiting.set(`c${crowd}-${n}`, at);
    return JSON.stringify({ t: 'do', id: `c${crowd}-${n}`, do: 'board.put', stream: plan.stream, with: { marks: [mark] } });
  }
  return JSON.stringify({ t: 'now', stream: plan.stream, kind: 'ink', body: { id: `at_${at}_${n}`, page: 'p1', kind: 'stroke', ink: 'lake', width: 4, x: 10, y: 20, from: 0, points: [0, 0, 12, 7, 25, 3, 41, 18] } });
}

function note(times, samples, from) {
  const took = now() - from;
  times.push(took);
  if (plan.samples) samples.push([from / 1000, took / 1000]);
}

const sentAt = Buffer.from('"id":"at_');

function heard(data) {
  if (!measuring) return;
  if (data.length < 80 && data.subarray(0, DONE.length).equals(DONE)) {
    const { id } = JSON.parse(data.toString());
    if (waiting.has(id)) note(acks, answered, waiting.get(id));
    return;
  }
  // One frame may hold many messages.
  for (let at = data.indexOf(sentAt); at >= 0; at = data.indexOf(sentAt, at + 9)) {
    deliveries++;
    if (deliveries % 7 === 0) note(latencies, seen, parseInt(data.toString('latin1', at + sentAt.length, at + sentAt.length + 16), 10));
  }
}

function connect(cookie) {
  return new Promise((resolve, reject) => {
    const socket = new WebSocket(plan.url, { headers: { Cookie: cookie ?? '', Origin: plan.origin ?? '' }, perMessageDeflate: false });
    socket.on('error', reject);
    socket.on('open', () => (plan.hello ? socket.send(JSON.stringify(plan.hello)) : resolve(socket)));
    socket.on('message', (data) => {
      if (plan.hello && data.indexOf('{"t":"welcome"') === 0) resolve(socket);
      heard(data);
    });
  });
}

async function main() {
  const sockets = [];
  for (let i = 0; i < plan.cookies.length; i += 20) {
    sockets.push(...(await Promise.all(plan.cookies.slice(i, i + 20).map(connect))));
  }
  await new Promise((done) => setTimeout(done, 1500));
  measuring = true;
  const began = performance.now();
  const total = plan.rate * plan.seconds;
  let sent = 0;
  await new Promise((done) => {
    const timer = setInterval(() => {
      const due = Math.min(Math.floor(((performance.now() - began) / 1000) * plan.rate), total);
      while (sent < due) {
        sockets[sent % sockets.length].send(text(sent));
        sent++;
      }
      if (sent < total) return;
      clearInterval(timer);
      done();
    }, 2);
  });
  // What another crowd says in the same class reaches this one too.
  const expected = (sent + (plan.others ?? 0) * plan.seconds) * sockets.length;
  const until = performance.now() + 5000;
  while (deliveries < expected && performance.now() < until) await new Promise((done) => setTimeout(done, 10));
  const seconds = (performance.now() - began) / 1000;
  const figures = JSON.stringify({
    sent,
    deliveries,
    lost: expected - deliveries,
    perSecond: deliveries / seconds,
    p50: pick(latencies, 0.5),
    p99: pick(latencies, 0.99),
    ack50: pick(acks, 0.5),
    ack99: pick(acks, 0.99),
    ...(plan.samples ? { seen, answered } : {}),
  });
  // A long answer is written in pieces.
  process.stdout.write(figures, () => process.exit(0));
}
main();
