import type { Incoming } from '../api/shapes';

/** A socket whose other end is the test. */
export class FakeSocket {
  static OPEN = 1;
  readyState = 1;
  said: Record<string, unknown>[] = [];
  onopen: () => void = () => {};
  onmessage: (event: { data: string }) => void = () => {};
  onclose: () => void = () => {};
  send(text: string) {
    this.said.push(JSON.parse(text));
  }
  close() {
    this.readyState = 3;
  }
  tell(message: Incoming) {
    this.tellAnything(message);
  }
  tellAnything(message: object) {
    this.onmessage({ data: JSON.stringify(message) });
  }
}
