import { api, got, Problem, type SafetyView, type BackupContent } from '../../platform/api/client';
import { Saving } from '../../platform/shared/saving.svelte';
import { texts } from './texts';

/** Second copy, backups and restoring. */
export class SafetyStore {
  view = $state.raw<SafetyView | undefined>(undefined);
  problem = $state('');
  busy = $state('');
  /** The backup somebody looks into, and what it holds. */
  looked = $state.raw<{ name: string; content: BackupContent } | undefined>(undefined);
  readonly saving = new Saving();

  async load(): Promise<void> {
    await this.#doing('', async () => {
      this.view = await got(api.GET('/api/safety'));
    });
  }

  save(body: {
    copyFolder?: string;
    backupFolder?: string;
    backupDaily?: boolean;
    backupOnExit?: boolean;
    backupsKept?: number;
  }): Promise<boolean> {
    return this.saving.during('safety', async () => {
      this.view = await got(api.PUT('/api/safety', { body }));
    });
  }

  backUp(): Promise<void> {
    return this.#doing(texts.makingABackup, async () => {
      this.view = await got(api.POST('/api/safety/backups'));
    });
  }

  rebuildCopy(): Promise<void> {
    return this.#doing(texts.writingTheCopyAnew, async () => {
      this.view = await got(api.POST('/api/safety/copy/rebuild'));
    });
  }

  /** Seals the key of the stored passwords for backups; an empty passphrase takes it out of them. */
  keepKey(passphrase: string): Promise<boolean> {
    return this.saving.during('key', async () => {
      this.view = await got(api.PUT('/api/safety/key-copy', { body: { passphrase } }));
    });
  }

  /** Opens the key that came with the log, and restarts with it. */
  openKey(passphrase: string): Promise<boolean> {
    return this.saving.during('key', async () => {
      this.view = await got(api.POST('/api/safety/key-copy/open', { body: { passphrase } }));
    });
  }

  look(name: string): Promise<void> {
    return this.#doing(texts.openingTheBackup, async () => {
      const content = await got(api.GET('/api/safety/backups/{name}', { params: { path: { name } } }));
      this.looked = { name, content };
    });
  }

  /** Restarts with a backup in the log's place. */
  restore(name: string): Promise<void> {
    return this.#doing(texts.puttingTheBackupInPlace, async () => {
      await got(api.POST('/api/safety/backups/{name}/restore', { params: { path: { name } } }));
      this.looked = undefined;
    });
  }

  async restoreFile(file: File): Promise<void> {
    await this.#doing(texts.checkingTheBackupYokebarStarts, async () => {
      const body = new FormData();
      body.set('file', file);
      await this.#send('/api/safety/restore', body);
    });
  }

  /** Reads contacts of a second copy, or any ADI file, into the log; those that are there stay one. */
  async readBack(file: File): Promise<string> {
    let notice = '';
    await this.#doing(texts.readingTheContacts, async () => {
      const body = new FormData();
      body.set('file', file);
      const imported = (await this.#send('/api/imports', body)) as {
        read: number;
        added: number;
        refused: number;
      };
      notice = texts.readWereMissingAndAre(imported.read, imported.added, imported.refused);
    });
    return notice;
  }

  async #send(address: string, body: FormData): Promise<unknown> {
    const answer = await fetch(address, { method: 'POST', body });
    const content: unknown = await answer.json();
    if (!answer.ok) {
      throw Problem.from(content);
    }
    return content;
  }

  async #doing(words: string, work: () => Promise<void>): Promise<void> {
    this.busy = words;
    this.problem = '';
    try {
      await work();
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    } finally {
      this.busy = '';
    }
  }
}
