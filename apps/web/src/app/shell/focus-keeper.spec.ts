import { FocusKeeper } from './focus-keeper';

const frame = (): Promise<unknown> => new Promise((resolve) => requestAnimationFrame(resolve));
const settled = async (): Promise<void> => {
  for (let i = 0; i < 10; i++) await frame();
};

describe('FocusKeeper', () => {
  const keeper = new FocusKeeper();
  let list: HTMLElement;
  const button = (name: string): HTMLButtonElement => {
    const made = document.createElement('button');
    made.textContent = name;
    return made;
  };
  const has = (): string | null => document.activeElement?.textContent ?? null;

  beforeAll(() => keeper.watch());

  beforeEach(() => {
    list = document.createElement('div');
    list.append(button('One'), button('Two'), button('Three'));
    document.body.append(list);
  });

  afterEach(() => list.remove());

  const removing = async (at: number): Promise<void> => {
    const gone = list.querySelectorAll('button')[at]!;
    gone.addEventListener('click', () => gone.remove());
    gone.focus();
    gone.click();
    await settled();
  };

  it('goes to what stands where a removed one stood, and to the last where it was the last', async () => {
    await removing(1);
    expect(has()).toBe('Three');
    await removing(1);
    expect(has()).toBe('One');
  });

  it('waits for a removal as long as it takes after the press', async () => {
    const [, gone] = list.querySelectorAll('button');
    gone!.focus();
    gone!.click();
    await settled();
    await settled();
    gone!.remove();
    await settled();
    expect(has()).toBe('Three');
  });

  it('passes over what is disabled or hidden', async () => {
    const all = list.querySelectorAll('button');
    all[1]!.disabled = true;
    await removing(0);
    expect(has()).toBe('Three');
  });

  it('leaves the focus alone while its element stands, and where somebody let go of it', async () => {
    const [first] = list.querySelectorAll('button');
    first!.focus();
    first!.blur();
    document.body.click();
    await settled();
    expect(document.activeElement).toBe(document.body);
    first!.remove();
    await settled();
    expect(document.activeElement).toBe(document.body);
  });

  it('gives the focus back to what had it, if that is still there', () => {
    const [first, second] = list.querySelectorAll('button');
    first!.focus();
    const back = keeper.give();
    second!.focus();
    back();
    expect(has()).toBe('One');
    const gone = keeper.give();
    first!.remove();
    second!.focus();
    gone();
    expect(has()).toBe('Two');
  });
});
