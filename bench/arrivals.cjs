// People who come to a class within some seconds, and then a rule that is changed for all of them.
// Plan on standard input: { url, origin, cookies, hello, board, over, staff: { cookie }, place }
// Answer: { arrived, p50, p95, rights: { p50, p95, told } }; times in ms.
const { readFileSync } = require('node:fs');
const WebSocket = require('ws');

const plan = JSON.parse(readFileSync(0, 'utf8'));
const pick = (values, share) => (values.length ? values.sort((a, b) => a - b)[Math.round((values.length - 1) * share)] : null);
const rest = (ms) => new Promise((done) => setTimeout(done, ms));

/** @returns a socket that was welcomed, and the ms from its hello until it had the board that is on show */
function arrive(cookie) {
  return new Promise((resolve, reject) => {
    const socket = new WebSocket(plan.url, { headers: { Cookie: cookie, Origin: plan.origin }, perMessageDeflate: false });
    let from;
    socket.on('error', reject);
    socket.on('open', () => {
      from = performance.now();
      socket.send(JSON.stringify(plan.hello));
    });
    socket.on('message', (data) => {
      const text = data.toString();
      if (text.startsWith('{"t":"welcome"') && text.includes(`"stream":"${plan.board}"`)) resolve({ socket, took: performance.now() - from });
      if (text.startsWith('{"t":"error"')) reject(new Error(text));
    });
  });
}

/** @returns ms until each has been told what they may do now */
async function changeRule(staff, sockets) {
  const told = [];
  const from = performance.now();
  const heard = sockets.map(
    (socket) =>
      new Promise((done) =>
        socket.on('message', (data) => {
          if (!data.toString('latin1', 0, 20).startsWith('{"t":"rights"')) return;
          told.push(performance.now() - from);
          done();
        }),
      ),
  );
  staff.send(JSON.stringify({ t: 'do', id: 'rule-1', do: 'class.rule', stream: plan.place, with: { right: 'draw', allow: false } }));
  await Promise.race([Promise.all(heard), rest(10_000)]);
  return { p50: pick(told, 0.5), p95: pick(told, 0.95), told: told.length };
}

async function main() {
  const staff = await arrive(plan.staff);
  const every = (plan.over * 1000) / plan.cookies.length;
  const arrivals = await Promise.all(plan.cookies.map((cookie, i) => rest(i * every).then(() => arrive(cookie))));
  await rest(1000);
  const rights = await changeRule(staff.socket, arrivals.map(({ socket }) => socket));
  const times = arrivals.map(({ took }) => took);
  console.log(JSON.stringify({ arrived: arrivals.length, p50: pick(times, 0.5), p95: pick(times, 0.95), rights }));
  process.exit(0);
}
main();
