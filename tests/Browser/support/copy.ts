/** A whole second instance from a copy of the code, so that a test may change the code. */
import { execFileSync } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Two ports in a row are needed; the next one is free nearly always. */
function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });
}

export class Copy {
  private constructor(
    private readonly folder: string,
    private readonly port: number,
  ) {}

  static async start(): Promise<Copy> {
    const folder = mkdtempSync(join(tmpdir(), 'rhetorix-copy-'));
    chmodSync(folder, 0o755);
    const ours = ['app', 'artisan', 'bin', 'bootstrap', 'compat', 'config', 'core', 'database', 'deploy', 'public', 'resources', 'routes', 'standins', 'composer.json', 'package.json', 'vite.config.ts', 'tsconfig.json'];
    execFileSync('cp', ['-a', ...ours, folder]);
    try {
      execFileSync('cp', ['-al', 'vendor', folder], { stdio: 'pipe' });
    } catch {
      execFileSync('cp', ['-a', 'vendor', folder]); // on another disk nothing can be linked
    }
    symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'));
    const port = await freePort();
    const copy = new Copy(folder, port);
    copy.run();
    return copy;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  run(): void {
    execFileSync(join(this.folder, 'bin/start'), ['--port', String(this.port), '--data', join(this.folder, 'data')], { stdio: 'pipe', timeout: 180_000 });
  }

  /** Changes words of a file, and says so when they are not in it. */
  change(file: string, from: string, to: string): void {
    const path = join(this.folder, file);
    const words = readFileSync(path, 'utf8');
    if (!words.includes(from)) throw new Error(`${file} does not say “${from}” any more.`);
    writeFileSync(path, words.replace(from, to));
  }

  stop(): void {
    execFileSync(join(this.folder, 'bin/stop'), ['--data', join(this.folder, 'data')], { stdio: 'pipe', timeout: 60_000 });
  }

  remove(): void {
    this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
