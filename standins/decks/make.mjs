/**
 * Makes the PDF decks of the demo show from the pages below:
 *   node standins/decks/make.mjs
 * They are kept beside it, so that nobody has to run this but who changes them.
 */
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const font = readFileSync('node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-latin-wght-normal.woff2').toString('base64');

const style = `
@font-face { font-family: Sans; src: url(data:font/woff2;base64,${font}) format('woff2'); font-weight: 200 900; }
@page { size: 1280px 720px; margin: 0; }
* { box-sizing: border-box; }
body { margin: 0; font-family: Sans; color: #26364d; }
section { width: 1280px; height: 720px; padding: 70px 90px; background: #fbf8f1; break-after: page; position: relative; overflow: hidden; }
section::after { content: attr(data-foot); position: absolute; left: 90px; bottom: 34px; font-size: 22px; color: #7d7768; }
h1 { font-size: 60px; margin: 0 0 14px; font-weight: 700; }
h1::after { content: ''; display: block; width: 96px; height: 6px; background: #d8a657; margin-top: 16px; }
ul { font-size: 36px; line-height: 1.6; margin: 26px 0; padding-left: 34px; }
.big { font-size: 96px; font-weight: 700; margin-top: 170px; }
table { font-size: 30px; border-collapse: collapse; margin-top: 24px; } td, th { padding: 8px 26px; text-align: left; border-bottom: 2px solid #e3dccb; }
.tiny { font-size: 11px; line-height: 1.35; column-count: 4; column-gap: 22px; margin-top: 20px; }
svg { position: absolute; right: 90px; top: 150px; }
.note { background: #f4eee2; } .note h1 { font-size: 44px; } .note p { font-size: 34px; line-height: 1.45; }
.next { position: absolute; right: 90px; top: 74px; font-size: 24px; color: #7d7768; }
`;

const hardness = ['Talc', 'Gypsum', 'Calcite', 'Fluorite', 'Apatite', 'Feldspar', 'Quartz', 'Topaz', 'Corundum', 'Diamond'];
const bars = `<svg width="1100" height="420" style="left:90px;right:auto;top:200px">${hardness
  .map((name, i) => `<rect x="${i * 108}" y="${330 - i * 32}" width="76" height="${40 + i * 32}" fill="${i === 6 ? '#d8a657' : '#9fb0c6'}"/><text x="${i * 108 + 38}" y="${318 - i * 32}" font-size="26" font-weight="700" text-anchor="middle" fill="#26364d">${i + 1}</text><text x="${i * 108 + 38}" y="402" font-size="22" text-anchor="middle" fill="#26364d">${name}</text>`)
  .join('')}</svg>`;
const crystal = '<svg width="330" height="360" viewBox="0 0 330 360"><path d="M40 100 200 40 310 100 150 160Z" fill="#c9d6e4"/><path d="M40 100 150 160V340L40 280Z" fill="#9fb0c6"/><path d="M150 160 310 100V280L150 340Z" fill="#7d90aa"/></svg>';
const list = (items) => `<ul>${items.map((item) => `<li>${item}</li>`).join('')}</ul>`;

const slides = [
  '<p class="big">Reading Stones</p><p style="font-size:36px">An evening workshop of the Fernhollow Lapidary Society</p>',
  `<h1>What we do tonight</h1>${list(['Look: colour, lustre, shape', 'Scratch: hardness and streak', 'Break: cleavage and fracture', 'Look through: a thin section'])}`,
  `<h1>Hardness: what scratches what</h1>${bars}`,
  `<h1>Hardness with what is at hand</h1><table><tr><th>with</th><th>scratches up to</th></tr><tr><td>a fingernail</td><td>2</td></tr><tr><td>a copper coin</td><td>3</td></tr><tr><td>window glass</td><td>5</td></tr><tr><td>a steel file</td><td>6</td></tr></table>`,
  `<h1>Lustre: how it gives back light</h1>${list(['Metallic: like a new coin', 'Glassy: most quartz', 'Pearly: mica, gypsum', 'Silky: fibrous gypsum', 'Dull: clay, chalk'])}`,
  `<h1>Streak: the colour of its powder</h1>${list(['Rub it on the white plate', 'Haematite looks grey and streaks red', 'Pyrite looks golden and streaks black', 'Harder than the plate: no streak'])}`,
  `<h1>Cleavage: how it breaks</h1>${list(['One direction: sheets, like mica', 'Two: at right angles, feldspar', 'Three: cubes, halite', 'None: curved, like glass'])}${crystal}`,
  `<h1>A key for the bench</h1><div class="tiny">${Array.from({ length: 44 }, (_, i) => `<p>${i + 1}. ${hardness[i % 10]}: hardness ${1 + (i % 10)}, lustre ${['glassy', 'pearly', 'metallic', 'dull'][i % 4]}, streak ${['white', 'grey', 'red', 'black'][(i * 3) % 4]}; look at number ${((i * 7) % 44) + 1} if it breaks evenly, else at ${((i * 11) % 44) + 1}.</p>`).join('')}</div>`,
  `<h1>Under crossed polarisers</h1>${list(['A slice as thin as a hair', 'Colours tell how strongly it splits light', 'Dark four times in a turn'])}`,
  `<h1>Your turn</h1>${list(['Take one of the numbered stones', 'Write down hardness, lustre, streak', 'Ten minutes, then we compare'])}`,
  `<h1>What was it?</h1><table><tr><th>stone</th><th>hardness</th><th>streak</th><th>it is</th></tr><tr><td>1</td><td>7</td><td>white</td><td>quartz</td></tr><tr><td>2</td><td>3</td><td>white</td><td>calcite</td></tr><tr><td>3</td><td>6</td><td>black</td><td>pyrite</td></tr></table>`,
  '<p class="big">Thank you</p><p style="font-size:36px">Next month: reading a gravel pit</p>',
];
const notes = [
  ['Welcome', 'Wait until the hall is quiet. Say who is at home with us tonight. The stones go round from the left.'],
  ['Tonight', 'Four ways of looking. Do not explain them yet: hold up the purple one and ask what they see.'],
  ['Hardness', 'Bench, close. Scratch calcite with the coin. Let somebody at home say what will happen before it does.'],
  ['At hand', 'Fingernail, coin, glass, file. Ask who has a coin on the table.'],
  ['Lustre', 'Turn the lamp off for a moment. Pearly and silky are told apart by moving the stone, not the eye.'],
  ['Streak', 'The plate is to the right. Haematite first, it surprises.'],
  ['Cleavage', 'Do not break anything. Show the edges under the lens.'],
  ['Key', 'Too small to read from the back: this page is for the print that everybody has.'],
  ['Polarisers', 'Take the microscope. Let it turn once in silence.'],
  ['Your turn', 'Ten minutes. Waiting music low. Walk round with the phone.'],
  ['Compare', 'One answer from the hall, one from home, in turn.'],
];

async function make(page, pages, file) {
  await page.setContent(`<style>${style}</style>${pages.join('')}`);
  await page.evaluate(() => document.fonts.ready);
  await page.pdf({ path: file, width: '1280px', height: '720px', printBackground: true, preferCSSPageSize: true });
}

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage();
await make(page, slides.map((body, i) => `<section data-foot="Reading Stones · ${i + 1} of ${slides.length}">${body}</section>`), 'standins/decks/slides.pdf');
await make(page, notes.map(([title, text], i) => `<section class="note" data-foot="Notes · ${i + 1}"><h1>${title}</h1><span class="next">next: ${notes[i + 1]?.[0] ?? 'the end'}</span><p>${text}</p></section>`), 'standins/decks/notes.pdf');
await browser.close();
