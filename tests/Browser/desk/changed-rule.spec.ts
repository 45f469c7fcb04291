/** The rules of the desk are those of core/ on the server, also while there is no server: no script knows them. */
import type { Page } from '@playwright/test';
import { becomeHost, expect, launch, signIn, test } from '../support/rhetorix';
import { Copy } from '../support/copy';

/** A mix from one picture to another, and a cut to a third while it runs: what the audience sees then, by name. */
function cutInFlight(desk: Page): Promise<string[]> {
  return desk.evaluate(() => {
    const session = window.rhetorix;
    if (!session) throw new Error('There is no desk.');
    const { book } = session.store;
    const named = (name: string): string => Object.keys(book.pictures).find((id) => book.pictures[id]?.name === name) ?? '';
    session.link.press('direct', { picture: named('Lectern') });
    session.link.press('take', { picture: named('Slides'), transition: { kind: 'glide', duration_ms: 3000 } });
    session.link.press('cut', { picture: named('Bench') });
    return session.store.onAir(performance.now()).pictures.map((id) => book.pictures[id]?.name ?? id);
  });
}

const scripts = (desk: Page): Promise<string[]> => desk.evaluate(() => [...document.scripts].map(({ src }) => src));

test('follows a rule that was changed in the core of the running server, once it is away from it again', async () => {
  test.setTimeout(300_000);
  const copy = await Copy.start();
  const browser = await launch();
  try {
    const context = await browser.newContext({ baseURL: copy.url });
    const desk = await context.newPage();
    await signIn(desk);
    await becomeHost(desk);
    await desk.evaluate(() => (document.documentElement.dataset.marked = 'never loaded again'));
    const before = await scripts(desk);

    copy.stop();
    expect(await cutInFlight(desk)).toEqual(['Bench']);

    // From now on a cut during a transition does nothing. PHP alone is changed.
    copy.change('core/Switching/Rules/Rulebook.php', "...self::jumpToIncoming('cut'),", "new Rule('cut', [Condition::isNot('flight', '#none')], [], self::NOTHING), ...self::jumpToIncoming('cut'),");
    const count = await desk.evaluate(() => window.rhetorix?.store.book.rules.length ?? 0);
    copy.run();
    // One sync: the desk asks for the state once, when it has the server again.
    await desk.waitForFunction((count) => window.rhetorix?.link.unsent === 0 && window.rhetorix.store.book.rules.length === count + 1, count, { timeout: 60_000 });

    copy.stop();
    expect(await cutInFlight(desk)).toEqual(['Lectern', 'Slides']);
    expect(await scripts(desk)).toEqual(before);
    expect(await desk.evaluate(() => document.documentElement.dataset.marked)).toBe('never loaded again');
  } finally {
    await browser.close();
    copy.remove();
  }
});
