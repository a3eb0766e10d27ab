// People who come to a class within some seconds, and then a rule that is changed for all of them.
// With `handed`, the board is handed out before, so that everybody gets a copy as they come. Meanwhile staff writes.
// Plan on standard input: { url, origin, cookies, hello, board, over, staff: cookie, sitting, place, handed: boolean }
// Answer: { arrived, p50, p95, worst, frames, posts: { sent, worst }, copies, rights: { p50, p95, told } }; times in ms.
const { readFileSync } = require('node:fs');
const WebSocket = require('ws');

const plan = JSON.parse(readFileSync(0, 'utf8'));
const pick = (values, share) => (values.length ? values.sort((a, b) => a - b)[Math.round((values.length - 1) * share)] : null);
const arrived = { frames: 0, copies: 0 };
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
      arrived.frames++;
      const text = data.toString();
      if (text.includes('"kind":"copy_given"')) arrived.copies++;
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

/** Says something on a socket of staff. @returns ms until it was answered */
function act(socket, id, wireName, stream, input) {
  const from = performance.now();
  return new Promise((done) => {
    const heard = (data) => {
      if (!data.toString().includes(`"id":"${id}"`)) return;
      socket.off('message', heard);
      done(performance.now() - from);
    };
    socket.on('message', heard);
    socket.send(JSON.stringify({ t: 'do', id, do: wireName, stream, with: input }));
  });
}

/** @returns a function that ends it and tells how long each post took */
function write(socket) {
  const posts = [];
  const timer = setInterval(() => {
    const id = `post-${posts.length}`;
    posts.push(act(socket, id, 'exchange.post', `exchange/${plan.sitting}.main`, { id, text: `Come in, ${posts.length}` }));
  }, 250);
  return async () => {
    clearInterval(timer);
    return Promise.all(posts);
  };
}

async function main() {
  const staff = await arrive(plan.staff);
  if (plan.handed) await act(staff.socket, 'hand-out', 'class.hand_out', `sitting/${plan.sitting}`, { board: plan.board.split('/')[1], on: true });
  const written = write(staff.socket);
  arrived.frames = 0;
  const every = (plan.over * 1000) / plan.cookies.length;
  const arrivals = await Promise.all(plan.cookies.map((cookie, i) => rest(i * every).then(() => arrive(cookie))));
  const posts = await written();
  for (let i = 0; plan.handed && arrived.copies < plan.cookies.length && i < 300; i++) await rest(100);
  await rest(1000);
  const frames = arrived.frames;
  const rights = await changeRule(staff.socket, arrivals.map(({ socket }) => socket));
  const times = arrivals.map(({ took }) => took);
  console.log(JSON.stringify({ arrived: arrivals.length, p50: pick(times, 0.5), p95: pick(times, 0.95), worst: pick(times, 1), frames, copies: arrived.copies, posts: { sent: posts.length, worst: pick(posts, 1) }, rights }));
  process.exit(0);
}
main();
