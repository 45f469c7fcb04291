/** What this person has put where. core/Control/Controls.php says it. */

export interface DeskAction {
  name: string;
  label: string;
  group: string;
  key: string | null;
  travels: boolean;
}

export interface ControlPage {
  actions: DeskAction[];
  keys: Record<string, string | null>;
  others: Record<string, string>;
  conflicts: Record<string, string[]>;
}

class Bindings {
  page: ControlPage = { actions: [], keys: {}, others: {}, conflicts: {} };
  private byKey = new Map<string, string>();
  private byOther = new Map<string, string>();

  read(page: ControlPage): void {
    this.page = page;
    // Where two have the same, the first of the list wins.
    const turned = (bindings: Record<string, string | null>): Map<string, string> =>
      new Map(Object.entries(bindings).reverse().flatMap(([action, binding]) => (binding === null ? [] : [[binding, action] as const])));
    this.byKey = turned(page.keys);
    this.byOther = turned(page.others);
  }

  actionOfKey(code: string, shift: boolean): string | undefined {
    return this.byKey.get(shift ? `Shift+${code}` : code);
  }

  /** Of a note, a control or a button: "note 1 60". */
  actionOf(binding: string): string | undefined {
    return this.byOther.get(binding);
  }

  /** What is printed on a key: L for KeyL. */
  static cap(key: string | null | undefined): string {
    return (key ?? '').replace(/^Shift\+/, '⇧').replace(/Key|Digit/, '').replace('Semicolon', ';').replace('Period', '.').replace('Equal', '=').replace('Minus', '-').replace(/^Arrow(.*)/, '$1');
  }

  capOf(action: string): string {
    return Bindings.cap(this.page.keys[action]);
  }
}

export const controls = new Bindings();
export const capOf = (key: string | null | undefined): string => Bindings.cap(key);
