/** Stops and starts parts of the instance under test, as a fault would. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

export type Part = 'php' | 'nginx' | 'postgres';

const data = (): string => process.env.RHETORIX_TEST_DATA ?? 'data';

function supervisor(...words: string[]): void {
  try {
    execFileSync('supervisorctl', ['-c', `${data()}/conf/supervisord.conf`, ...words], { stdio: 'pipe', timeout: 60_000 });
  } catch {
    // It says no with a number too when a part was stopped already.
  }
}

export function stop(...parts: Part[]): void {
  for (const part of parts) supervisor('stop', part);
}

/** Kills it without asking, and for PHP and nginx what it has started; the supervisor starts it again. */
export function kill(part: Part): void {
  if (part !== 'postgres') process.kill(-Number(readFileSync(`${data()}/run/${part}.group`, 'utf8')), 'SIGKILL');
  else supervisor('signal', 'KILL', part);
}

/** Kills only the first process, so that its children are left over. */
export function killHead(part: Part): void {
  supervisor('signal', 'KILL', part);
}

export async function start(url: string, ...parts: Part[]): Promise<void> {
  for (const part of parts) supervisor('start', part);
  await isWell(url);
}

export async function isWell(url: string): Promise<void> {
  for (let i = 0; i < 300; i++) {
    const answer = await fetch(`${url}/up`).catch(() => null);
    if (answer?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error('The instance did not become well again.');
}
