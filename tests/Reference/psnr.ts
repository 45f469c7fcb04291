/** How alike two images are, by ffmpeg: peak signal to noise in dB, 99 for the same. */
import { execFileSync } from 'node:child_process';

export function psnrOf(a: string, b: string): number {
  // ffmpeg says it on stderr
  const script = 'ffmpeg -v info -i "$1" -i "$2" -filter_complex "[0]format=rgb24[a];[1]format=rgb24[b];[a][b]psnr" -f null - 2>&1';
  const said = execFileSync('sh', ['-c', script, 'sh', a, b], { encoding: 'utf8' });
  return Number(/average:([\d.]+|inf)/.exec(said)?.[1]?.replace('inf', '99') ?? NaN);
}
