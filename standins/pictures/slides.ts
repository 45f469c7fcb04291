/** A talk about telling minerals apart: three pages that turn by themselves, with a laser dot on them. */
import { ellipse, polygon, type Brush, type Paint } from './brush';

const PAGE_SECONDS = 14;
const INK = '#26364d';

function text(brush: Brush, words: string, x: number, y: number, size: number, weight = 400, colour = INK): void {
  brush.fillStyle = colour;
  brush.font = `${weight} ${size}px Georgia, serif`;
  brush.textAlign = 'left';
  brush.textBaseline = 'alphabetic';
  brush.fillText(words, x, y);
}

function page(brush: Brush, title: string, number: number, width: number, height: number): void {
  brush.fillStyle = '#fbf8f1';
  brush.fillRect(0, 0, width, height);
  brush.fillStyle = '#d8a657';
  brush.fillRect(90, 150, 96, 6);
  text(brush, title, 90, 120, 64, 600);
  text(brush, `Reading Stones · ${number} of 3`, 90, height - 44, 24, 400, '#7d7768');
}

function hardness(brush: Brush, width: number, height: number): void {
  page(brush, 'Hardness: what scratches what', 1, width, height);
  const minerals = ['Talc', 'Gypsum', 'Calcite', 'Fluorite', 'Apatite', 'Feldspar', 'Quartz', 'Topaz', 'Corundum', 'Diamond'];
  minerals.forEach((name, i) => {
    const x = 100 + i * 88;
    brush.fillStyle = i === 6 ? '#d8a657' : '#9fb0c6';
    brush.fillRect(x, 560 - i * 32, 60, 40 + i * 32);
    text(brush, String(i + 1), x + 18, 540 - i * 32, 28, 600);
    brush.save();
    brush.translate(x + 38, 610);
    brush.rotate(0.5);
    text(brush, name, 0, 14, 22);
    brush.restore();
  });
}

function lustre(brush: Brush, width: number, height: number): void {
  page(brush, 'Lustre: how it gives back light', 2, width, height);
  ['Metallic: like a new coin', 'Glassy: most quartz', 'Pearly: mica, gypsum', 'Dull: clay, chalk'].forEach((line, i) => {
    ellipse(brush, 110, 248 + i * 84, 11, 11, '#d8a657');
    text(brush, line, 146, 262 + i * 84, 42);
  });
  const shine = brush.createRadialGradient(900, 330, 20, 930, 380, 190);
  shine.addColorStop(0, '#ffffff');
  shine.addColorStop(0.4, '#c2ccd8');
  shine.addColorStop(1, '#65758a');
  brush.fillStyle = shine;
  brush.beginPath();
  brush.ellipse(930, 390, 180, 150, 0.2, 0, 2 * Math.PI);
  brush.fill();
}

function cleavage(brush: Brush, width: number, height: number): void {
  page(brush, 'Cleavage: how it breaks', 3, width, height);
  ['One direction: sheets (mica)', 'Two: at right angles (feldspar)', 'Three: cubes (halite)', 'None: curved, like glass (quartz)'].forEach((line, i) => text(brush, line, 90, 250 + i * 80, 40));
  const [x, y, s] = [900, 330, 170];
  polygon(brush, [[x, y], [x + s, y - 60], [x + s * 1.7, y], [x + s * 0.7, y + 60]], '#c9d6e4');
  polygon(brush, [[x, y], [x + s * 0.7, y + 60], [x + s * 0.7, y + 240], [x, y + 180]], '#9fb0c6');
  polygon(brush, [[x + s * 0.7, y + 60], [x + s * 1.7, y], [x + s * 1.7, y + 180], [x + s * 0.7, y + 240]], '#7d90aa');
}

const PAGES = [hardness, lustre, cleavage];

export const paintSlides: Paint = (brush, seconds, width, height) => {
  PAGES[Math.floor(seconds / PAGE_SECONDS) % PAGES.length]?.(brush, width, height);
  ellipse(brush, 640 + 420 * Math.sin(seconds * 0.9), 400 + 130 * Math.sin(seconds * 1.37), 9, 9, '#b02a4acc');
};
