/**
 * Makes the clip that covers a change in the demo show: node standins/clips/make.mjs
 * A slanted band of ink blue sweeps across, with transparency beside it; in its
 * middle it covers everything. With the sound of a sweep.
 */
import { execFileSync } from 'node:child_process';

const SECONDS = 1.2;
const centre = `W*(-0.8+2.6*T/${SECONDS})`;
const off = `abs(X-${centre}-0.14*W*(Y/H-0.5))`;
const inside = (half) => `clip((${half}*W-${off})/3,0,1)`;
// The edges of the band are a strip of gold.
const level = (blue, gold) => `${blue}+(${gold}-${blue})*(1-${inside(0.62)})`;

execFileSync('ffmpeg', [
  '-v', 'error', '-y',
  '-f', 'lavfi', '-i', `color=black:size=640x360:rate=25:duration=${SECONDS},format=rgba,geq=r='${level(35, 230)}':g='${level(74, 180)}':b='${level(125, 80)}':a='255*${inside(0.66)}'`,
  '-f', 'lavfi', '-i', `anoisesrc=duration=${SECONDS}:color=pink:amplitude=0.5:seed=7`,
  '-filter_complex', `[1:a]bandpass=frequency=900:width_type=o:width=2,afade=t=in:d=0.5:curve=qsin,afade=t=out:st=0.6:d=0.6:curve=qsin[a]`,
  '-map', '0:v', '-map', '[a]', '-c:v', 'libvpx', '-pix_fmt', 'yuva420p', '-auto-alt-ref', '0', '-b:v', '600k', '-g', '10', '-c:a', 'libopus', '-b:a', '64k',
  'standins/clips/sweep.webm',
]);
