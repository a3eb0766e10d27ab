// The baseline: a bare relay that sends each message on to everyone, itself included.
const { WebSocketServer } = require('ws');

const server = new WebSocketServer({ host: '127.0.0.1', port: 0, perMessageDeflate: false });
server.on('connection', (socket) =>
  socket.on('message', (data) => {
    for (const client of server.clients) client.send(data, { binary: false });
  }),
);
server.on('listening', () => console.log(server.address().port));
