/**
 * The file of pictures against its JSON Schema (draft 2020-12), judged by ajv,
 * a validator that knows nothing of our reader: what we write is valid, and
 * what one of them refuses, the other refuses too.
 */
import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { asItWas, expect, test } from '../Browser/support/rhetorix';

type Json = Record<string, unknown>;

const validate = new Ajv2020({ allErrors: true }).compile(JSON.parse(readFileSync('docs/formats/pictures.schema.json', 'utf8')) as object);

/** Sets something deep inside a copy of the file: "pictures.0.name". */
function spoilt(file: Json, path: string, value: unknown): Json {
  const copy = JSON.parse(JSON.stringify(file)) as Json;
  const steps = path.split('.');
  const last = steps.pop() ?? '';
  let at: Json = copy;
  for (const step of steps) at = at[step] as Json;
  at[last] = value;
  return copy;
}

test('writes what the schema says, and refuses what the schema refuses', async ({ desk, api }) => {
  await asItWas(api);
  const file = (await (await desk.context().request.get(`/shows/${api.id}/pictures/file`)).json()) as Json & { pictures: (Json & { layout: Json })[] };
  expect(validate(file), JSON.stringify(validate.errors)).toBe(true);
  const layouts = file.pictures.map(({ layout }) => layout.layout);
  expect(new Set(layouts)).toEqual(new Set(['inset', 'free']));
  const one = { ...file, pictures: [{ ...file.pictures.find(({ layout }) => layout.layout === 'free'), name: 'By hand from a file' }] };
  const spoils: [string, unknown][] = [
    ['version', 2], ['format', 'other'], ['canvas', { width: 1280 }], ['canvas', { width: 1, height: 720 }], ['surprise', true],
    ['sources', {}], ['sources.0.surprise', 1], ['sources.0.name', ''], ['pictures.0.name', ''], ['pictures.0.group', 'nowhere'], ['pictures.0.colour', 'red'],
    ['pictures.0.fills', { material: 7 }], ['pictures.0.layout', { layout: 'spiral' }], ['pictures.0.layout', { layout: 'inset', corner: 'top-left', size: 0.9 }],
    ['pictures.0.layout', { layout: 'strip', people: 9 }], ['pictures.0.layout', { layout: 'four', gap: -1 }], ['pictures.0.layout', { layout: 'side-by-side', people: 3 }],
    ['pictures.0.layout.background', 'blue'], ['pictures.0.layout.windows.0.width', 0], ['pictures.0.layout.windows.0.height', -20], ['pictures.0.layout.windows.0.x', 'left'],
    ['pictures.0.layout.windows.0.turn', 5], ['pictures.0.layout.windows.0.shape', 'star'], ['pictures.0.layout.windows.0.radius', 2], ['pictures.0.layout.windows.0.purpose', 'cat'],
    ['pictures.0.layout.windows.0.border', { width: 400, colour: '#ffffff' }], ['pictures.0.layout.windows.0.shadow', { size: 4 }], ['pictures.0.layout.windows.0.view', { zoom: 90, x: 0, y: 0 }],
    ['pictures.0.layout.windows.0.locked', 'yes'], ['pictures.0.layout.windows', Array(1000).fill({ slot: 'a', x: 0, y: 0, width: 9, height: 9 })],
  ];
  for (const [path, value] of spoils) {
    const bad = spoilt(one, path, value);
    expect(validate(bad), `the schema lets ${path} = ${JSON.stringify(value).slice(0, 60)} pass`).toBe(false);
    const { status, body } = await api.send('picture.bring', { file: bad });
    expect(status, `${path} was brought`).toBe(422);
    expect(body.message).toMatch(/[.!]$/);
  }
  expect(Object.values((await api.state()).book.pictures).some(({ name }) => name === 'By hand from a file')).toBe(false);
  expect((await api.send('picture.bring', { file: one })).status).toBe(200);
  await asItWas(api);
});
