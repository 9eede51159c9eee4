import type { IncomingMessage, Server } from 'node:http';
import type { Socket } from 'node:net';

/** Connections at once; where there are more, the one that has asked nothing for longest makes room. */
const MOST_CONNECTIONS = 1000;
/** How long a request's headers may take, and the whole of one with its body, ms: a brought backup is large. */
const LONGEST_HEADERS_MS = 20_000;
const LONGEST_REQUEST_MS = 3_600_000;
/** How often connections are looked at, ms; what does not move from one look to the next is ended. */
const LOOK_EVERY_MS = 30_000;
/** Bytes that must come or go between two looks, where some are to: so slow is no network. */
const LEAST_MOVED = 16_384;

/** What a connection is at. */
interface Course {
  /** Those of its requests whose body may not be here yet. */
  readonly coming: Set<IncomingMessage>;
  /** How many of its requests are not answered yet. */
  open: number;
  /** Bytes moved when it was looked at last; null where nothing was to move then. */
  seen: number | null;
}

/** Whether bytes are to move over a connection: a body that is not here yet, or an answer that is not read. */
const isAtIt = (socket: Socket, { coming }: Course): boolean =>
  socket.writableLength > 0 || [...coming].some(({ complete }) => !complete);

const hasBody = ({ headers }: IncomingMessage): boolean =>
  headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;

/** Makes room for one more by ending the connection that has asked nothing for longest. @returns whether one was */
function makeRoom(courses: Map<Socket, Course>): boolean {
  const quietest = [...courses].find(([, { open }]) => open === 0)?.[0];
  if (!quietest) return false;
  courses.delete(quietest);
  quietest.destroy();
  return true;
}

/**
 * Bounds what one that is slow, by intent or not, can hold: how many connections there are, how long a request takes to
 * come, and how little of a body comes or of an answer is read.
 * @returns stops looking
 */
export function boundSlowness(
  server: Server,
  { lookEvery = LOOK_EVERY_MS, mostConnections = MOST_CONNECTIONS } = {},
): () => void {
  server.headersTimeout = LONGEST_HEADERS_MS;
  server.requestTimeout = LONGEST_REQUEST_MS;
  // Whoever asked last stands last.
  const courses = new Map<Socket, Course>();
  server.on('connection', (socket) => {
    if (courses.size >= mostConnections && !makeRoom(courses)) {
      socket.destroy();
      return;
    }
    courses.set(socket, { coming: new Set(), open: 0, seen: null });
    socket.once('close', () => courses.delete(socket));
  });
  server.on('request', (request, response) => {
    const { socket } = request;
    const course = courses.get(socket);
    if (!course) return;
    course.open += 1;
    response.once('close', () => {
      course.open -= 1;
      if (courses.delete(socket) && !socket.destroyed) courses.set(socket, course);
    });
    if (!hasBody(request)) return;
    course.coming.add(request);
    request.once('close', () => course.coming.delete(request));
  });
  const look = (): void => {
    for (const [socket, course] of courses) {
      const moved = socket.bytesRead + socket.bytesWritten - socket.writableLength;
      const isStuck = course.seen !== null && moved - course.seen < LEAST_MOVED;
      if (isAtIt(socket, course) && isStuck) socket.destroy();
      else course.seen = isAtIt(socket, course) ? moved : null;
    }
  };
  const timer = setInterval(look, lookEvery);
  timer.unref();
  return () => clearInterval(timer);
}
