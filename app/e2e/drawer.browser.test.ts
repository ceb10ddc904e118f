import { describe, expect, it } from 'vitest';
import { axe, press, sees, type, typeInto, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, openPage } = demoInBrowser();

describe('the reader of inserts and bars', () => {
  it('reads what is typed letter by letter, says what fits, and why the nearest does not', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/bench-book/inserts`);
    await sees(page, '✓ SDJCR 1616 H11');
    await type(page, 'code', 'ccmt 060204');
    await sees(page, 'edge 6.45 mm, circle 6.35 mm');
    await sees(page, '✓ S12M-SCLCR 06');
    await sees(page, '✕ SCLCR 1616 H09: size 06, the seat is for 09');
    await type(page, 'code', 's16r sclcr09');
    await sees(page, 'shank Ø16 mm');
    await sees(page, '✓ CCMT 09 T3 04');
    await type(page, 'code', 'CNZG 12 04 08');
    await sees(page, '“Z” is not known at position 3 of an insert’s designation');
    expect(await axe(page)).toEqual([]);
    // the other way round, and back
    await page.$eval('input[name="insert-shape"]', (e) => (e as HTMLElement).click());
    await press(page, 'Read it above');
    await sees(page, 'parallelogram, corner 85°');
    await type(page, 'bore-bore', '20.5');
    await sees(page, '✕ cannot be drawn off the far wall');
    expect(await axe(page)).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('the drawer', () => {
  it('keeps holders and inserts by designations that can be read, and refuses others with words', async () => {
    const { page, errors } = await openPage();
    await visit(page, `${shop.url}/tools`);
    await page.$eval('section[aria-labelledby="list-holder"] button', (e) => (e as HTMLElement).click());
    await type(page, 'holder-code', 'S20S-SVUBR');
    await sees(page, 'There stands one of');
    await type(page, 'holder-code', 'S20S-SVUBR 16');
    await sees(page, 'Type the smallest hole');
    await type(page, 'holder-least', '27');
    await page.$eval('section[aria-labelledby="list-holder"] form button[type="submit"]', (e) =>
      (e as HTMLElement).click(),
    );
    await sees(page, '93°, screw through the hole, shank Ø20 mm');
    const bad = await shop.ask('PUT', '/api/records/insert', {
      record: {
        ...{ id: '00000000-0000-4000-8000-000000000042', code: 'DCMT 11 T3 04', material: 'coated', grade: '' },
        ...{ count: 1, usedEdges: 3, note: '' },
      },
    });
    expect([bad.status, bad.body.problems?.[0]?.code]).toEqual([400, 'insert.moreUsedThanThere']);
    // a gauge that is off is told so, one that holds too
    await page.select(
      'section[aria-labelledby="zeros"] select',
      await page.$eval('section[aria-labelledby="zeros"] option', (o) => (o as HTMLOptionElement).value),
    );
    await type(page, 'zero-off', '-0.012');
    await press(page, 'Checked now');
    await sees(page, 'is off by more than it is said to be sure to');
    await sees(page, '▲ off: −0.012 mm');
    await typeInto(page, 'It shows, mm', '0.002');
    await press(page, 'Checked now');
    await sees(page, 'its zero holds');
    expect(await axe(page)).toEqual([]);
    // it is kept
    await visit(page, `${shop.url}/tools`);
    await sees(page, '✓ +0.002 mm');
    expect(errors).toEqual([]);
    await page.close();
  });
});
