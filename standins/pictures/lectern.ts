/** A person behind a lectern, who talks with both hands and now and then walks out of the picture. */
import { backdrop, during, ellipse, limb, polygon, sway, type Brush, type Paint } from './brush';

const SKIN = '#b98563';
const JUMPER = '#5b4a7d';
const HAIR = '#3c2a22';

function hall(brush: Brush, width: number, height: number): void {
  brush.fillStyle = '#cfc3ae';
  brush.fillRect(0, 0, width, height);
  // a backing to key, uneven as hung cloth is
  const cloth = brush.createLinearGradient(200, 0, 1080, 0);
  cloth.addColorStop(0, '#2a9a80');
  cloth.addColorStop(0.4, '#31a78c');
  cloth.addColorStop(1, '#238a73');
  brush.fillStyle = cloth;
  brush.fillRect(180, 0, 920, 640);
  brush.fillStyle = '#8a6a48';
  brush.fillRect(0, 640, width, height - 640);
  brush.fillStyle = '#7a5c3d';
  for (let x = -40; x < width; x += 160) brush.fillRect(x, 640, 3, height - 640);
}

function person(brush: Brush, x: number, seconds: number): void {
  const nod = 5 * Math.sin(seconds * 1.9) + 3 * Math.sin(seconds * 3.1);
  const breath = 3 * Math.sin(seconds * 1.3);
  const point = during(seconds % 11, 4, 7.5);
  polygon(brush, [[x - 150, 720], [x - 128, 400 + breath], [x - 60, 340 + breath], [x + 60, 340 + breath], [x + 128, 400 + breath], [x + 150, 720]], JUMPER);
  brush.fillStyle = SKIN;
  brush.fillRect(x - 27, 290 + nod / 2, 54, 70);
  ellipse(brush, x + nod / 2, 225 + nod, 74, 94, SKIN);
  ellipse(brush, x + nod / 2, 165 + nod, 80, 52, HAIR);
  ellipse(brush, x - 70 + nod / 2, 220 + nod, 16, 50, HAIR);
  ellipse(brush, x + 70 + nod / 2, 220 + nod, 16, 50, HAIR);
  const look = 8 * Math.sin(seconds * 0.7);
  const blink = seconds % 4.3 < 0.13 ? 1.5 : 8;
  for (const side of [-1, 1]) {
    ellipse(brush, x + side * 28 + look + nod / 2, 222 + nod, 8, blink, '#f4efe6');
    ellipse(brush, x + side * 28 + look * 1.3 + nod / 2, 222 + nod, 4.5, Math.min(blink, 5), '#2b1d17');
  }
  const speaks = Math.max(0, Math.sin(seconds * 11) * Math.sin(seconds * 2.3 + 1));
  ellipse(brush, x + look * 0.6 + nod / 2, 272 + nod, 20, 4 + 9 * speaks, '#7c3f38');
  // the left hand gestures, the right one points up at times
  const wave = 40 * Math.sin(seconds * 2.2);
  limb(brush, [[x - 120, 420 + breath], [x - 190, 540], [x - 120 + wave * 0.8, 500 - Math.abs(wave)]], 56, JUMPER);
  ellipse(brush, x - 112 + wave * 0.9, 488 - Math.abs(wave), 30, 34, SKIN);
  const [hx, hy] = [x + 150 + 70 * point, 540 - 330 * point];
  limb(brush, [[x + 120, 420 + breath], [x + 190, 520 - 120 * point], [hx, hy]], 56, JUMPER);
  ellipse(brush, hx, hy - 10, 30, 34, SKIN);
  if (point > 0.3) limb(brush, [[hx, hy - 20], [hx + 12, hy - 70]], 14, SKIN);
}

export const paintLectern: Paint = (brush, seconds, width, height) => {
  backdrop(brush, 'hall', width, height, (still) => hall(still, width, height));
  const away = during(seconds % 67, 52, 62, 3);
  person(brush, 640 + 60 * (sway(seconds, 17) - 0.5) + 980 * away, seconds);
  polygon(brush, [[420, 720], [450, 590], [830, 590], [860, 720]], '#6b4a2f');
  brush.fillStyle = '#855f3e';
  brush.fillRect(430, 572, 420, 26);
  brush.fillStyle = '#efe9dc';
  brush.fillRect(540, 566, 150, 10);
  limb(brush, [[760, 575], [748, 500], [700, 470]], 7, '#22262c');
  ellipse(brush, 696, 468, 15, 11, '#22262c', -0.5);
};
