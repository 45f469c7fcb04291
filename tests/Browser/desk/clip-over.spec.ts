/** A clip that lies over a change, by hand and by the clock. */
import { PROGRAM, card, expect, isSent, meanColour, test } from '../support/rhetorix';

test.beforeEach(async ({ api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await api.send('back');
  await api.begin('Lectern', 'Slides');
});
test.afterEach(async ({ api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await api.begin('Lectern', 'Bench');
});

test('covers a change with a clip that lets through at first, and changes under it', async ({ desk, api }) => {
  const [lectern, slides] = [await api.pictureId('Lectern'), await api.pictureId('Slides')];
  await desk.getByTestId('transition-options').click();
  await desk.getByTestId('kind').selectOption('clip');
  await expect(desk.getByTestId('take')).toContainText('Clip 1.2 s');
  const { chosen } = (await api.state()).desk;
  expect(chosen.clip).toBe(await api.sourceId('Sweep'));
  await desk.keyboard.press('Escape');
  await desk.waitForFunction((kind) => window.rhetorix?.store.book.transitions[kind]?.clip !== undefined, chosen.kind);
  // Slowly, by hand: the clip stands where the fader does.
  const at = async (position: number): Promise<{ left: number[]; middle: number[] }> => {
    await desk.evaluate(([picture, position, kind]) => window.rhetorix?.link.press('fade', { picture, position, holder: window.rhetorix.lease.id, transition: { kind, duration_ms: 1200 } }), [slides, position, chosen.kind] as const);
    await desk.waitForTimeout(900);
    const of = async (x: number): Promise<number[]> => {
      const { r, g, b } = await meanColour(desk, PROGRAM, { x, y: 0.45, width: 0.04, height: 0.1 });
      return [r, g, b];
    };
    return { left: await of(0.02), middle: await of(0.48) };
  };
  const blue = ([r = 0, , b = 0]: number[]): boolean => b > r + 50;
  const before = await meanColour(desk, PROGRAM, { x: 0.48, y: 0.45, width: 0.04, height: 0.1 });
  const early = await at(250);
  expect(blue(early.left), `the band comes from the left: ${early.left.join()}`).toBe(true);
  expect(Math.hypot((early.middle[0] ?? 0) - before.r, (early.middle[1] ?? 0) - before.g, (early.middle[2] ?? 0) - before.b), 'beside it the old picture shows').toBeLessThan(40);
  const half = await at(500);
  expect([blue(half.left), blue(half.middle)], `everything is covered: ${half.left.join()} ${half.middle.join()}`).toEqual([true, true]);
  const late = await at(800);
  expect(Math.min(...late.left), `the slides show where the band has gone: ${late.left.join()}`).toBeGreaterThan(225);
  await isSent(desk);
  await api.send('back');
  await expect.poll(async () => (await api.state()).transition).toBeNull();

  // With the clock it is heard too, and then the new picture is alone.
  await expect.poll(async () => (await api.state()).preview).toBe(slides);
  await desk.getByTestId('take').click();
  let loudest = 0;
  await expect.poll(async () => {
    loudest = Math.max(loudest, await desk.evaluate((id) => {
      const values = new Float32Array(512);
      window.rhetorix?.mixer?.meterOf(id)?.getFloatTimeDomainData(values);
      return Math.max(...values.map(Math.abs));
    }, chosen.clip ?? ''));
    return (await api.state()).program;
  }, { intervals: [60] }).toEqual([slides]);
  expect(loudest).toBeGreaterThan(0.01);
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'preview');
  await expect(desk.locator('#announcements')).toHaveText('On air: Slides');
});
