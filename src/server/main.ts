import { fileURLToPath } from 'node:url';
import { createServer } from './server.ts';

const DEFAULT_PORT = 4173;

const wanted = process.env['PORT'] ?? String(DEFAULT_PORT);
const port = Number(wanted);
if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  process.stderr.write(`PORT takes a number from 0 to 65535, not "${wanted}"\n`);
  process.exit(2);
}
const server = await createServer(fileURLToPath(new URL('../dist', import.meta.url)));
try {
  const address = await server.listen({ host: '127.0.0.1', port });
  process.stdout.write(`Yardmist is at ${address}\n`);
} catch (error) {
  const isTaken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
  process.stderr.write(
    isTaken ? `Port ${port} is in use. Choose another: PORT=4174 npm start\n` : `${(error as Error).message}\n`,
  );
  process.exit(1);
}
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => void server.close());
