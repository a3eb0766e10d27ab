// Many people answer a poll within some seconds, each once and a tenth of them twice. Measures how soon each answer is acknowledged, and what
// staff are sent meanwhile.
// Plan on standard input: { url, origin, cookies, staff, hello, sitting, poll, question, options, seconds }
// Answer: { acknowledged, refused, p50, p99, results, bytes, largest }; times in ms, bytes of results that staff were sent.
const { readFileSync } = require('node:fs');
const WebSocket = require('ws');

const plan = JSON.parse(readFileSync(0, 'utf8'));
const now = () => performance.now();
const pick = (values, share) => (values.length ? values.sort((a, b) => a - b)[Math.round((values.length - 1) * share)] : 0);
const pause = (ms) => new Promise((done) => setTimeout(done, ms));
const poll = `poll/${plan.sitting}.${plan.poll}`;
const sent = new Map();
const latencies = [];
const told = { results: 0, bytes: 0, largest: 0 };
let refused = 0;
let gained = 0;

function connect(cookie) {
  return new Promise((resolve, reject) => {
    const socket = new WebSocket(plan.url, { headers: { Cookie: cookie, Origin: plan.origin }, perMessageDeflate: false });
    socket.on('error', reject);
    socket.on('open', () => socket.send(JSON.stringify(plan.hello)));
    socket.on('message', (data) => {
      const text = data.toString('latin1');
      if (text.startsWith('{"t":"welcome"')) resolve(socket);
      if (text.startsWith(`{"t":"gained","stream":"${poll}"`)) gained++;
      if (text.startsWith('{"t":"results"')) {
        told.results++;
        told.bytes += data.length;
        told.largest = Math.max(told.largest, data.length);
      }
      const answer = /^\{"t":"(done|refused)","id":"(\w+)"/.exec(text);
      if (!answer || !sent.has(answer[2])) return;
      if (answer[1] === 'refused') refused++;
      else latencies.push(now() - sent.get(answer[2]));
      sent.delete(answer[2]);
    });
  });
}

const give = (socket, id, name, stream, input) => socket.send(JSON.stringify({ t: 'do', id, do: name, stream, with: input }));

async function main() {
  const sockets = [];
  for (let i = 0; i < plan.cookies.length; i += 20) sockets.push(...(await Promise.all(plan.cookies.slice(i, i + 20).map(connect))));
  const staff = await connect(plan.staff);
  await pause(1500);
  give(staff, 'stage', 'poll.stage', `staff/${plan.sitting}`, { poll: plan.poll, question: plan.question });
  give(staff, 'open', 'poll.open', `staff/${plan.sitting}`, { poll: plan.poll, round: 1 });
  while (gained <= sockets.length) await pause(10);
  await pause(500);
  const answer = (socket, i, again) => {
    const id = `a${again}x${i}`;
    sent.set(id, now());
    give(socket, id, 'poll.answer', poll, { round: 1, value: plan.options[(i + again) % plan.options.length] });
  };
  sockets.forEach((socket, i) => {
    setTimeout(() => answer(socket, i, 0), Math.random() * plan.seconds * 900);
    if (i % 10 === 0) setTimeout(() => answer(socket, i, 1), plan.seconds * (900 + Math.random() * 100));
  });
  await pause(plan.seconds * 1000 + 1500);
  process.stdout.write(JSON.stringify({ acknowledged: latencies.length, refused, p50: pick(latencies, 0.5), p99: pick(latencies, 0.99), ...told }));
  process.exit(0);
}

main();
