import type { OutgoingHttpHeaders } from 'node:http';
import type { FastifyInstance } from 'fastify';

/**
 * A line that a page listens on: `connect` is given a way to send, and returns what ends it. All lines end when the
 * server stops.
 */
export function registerStream(
  server: FastifyInstance,
  path: string,
  connect: (send: (news: unknown) => void) => () => void,
): void {
  const open = new Set<() => void>();
  server.get(path, (request, reply) => {
    // The stream is written by hand from here on, with the headers that are set on every answer.
    reply.hijack();
    const { raw } = reply;
    raw.writeHead(200, {
      ...(reply.getHeaders() as OutgoingHttpHeaders),
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
    });
    const disconnect = connect((news) => raw.write(`data: ${JSON.stringify(news)}\n\n`));
    const end = () => {
      if (!open.delete(end)) return;
      disconnect();
      raw.end();
    };
    open.add(end);
    request.raw.on('close', end);
  });
  server.addHook('preClose', (done) => {
    for (const end of open) end();
    done();
  });
}
