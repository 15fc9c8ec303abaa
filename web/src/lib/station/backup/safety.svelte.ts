import {
  api,
  got,
  sendFile,
  type BackupContent,
  type ImportResult,
  type SafetyView,
} from '../../platform/api/client';
import { Doing } from '../../platform/shared/doing.svelte';
import { Saving } from '../../platform/shared/saving.svelte';
import { texts } from './texts';

/** Second copy, backups and restoring. */
export class SafetyStore {
  view = $state.raw<SafetyView | undefined>(undefined);
  readonly doing = new Doing();
  /** The backup somebody looks into, and what it holds. */
  looked = $state.raw<{ name: string; content: BackupContent } | undefined>(undefined);
  readonly saving = new Saving();

  async load(): Promise<void> {
    await this.doing.during('', async () => {
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
    return this.doing.during(texts.makingABackup, async () => {
      this.view = await got(api.POST('/api/safety/backups'));
    });
  }

  rebuildCopy(): Promise<void> {
    return this.doing.during(texts.writingTheCopyAnew, async () => {
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
    return this.doing.during(texts.openingTheBackup, async () => {
      const content = await got(api.GET('/api/safety/backups/{name}', { params: { path: { name } } }));
      this.looked = { name, content };
    });
  }

  /** Restarts with a backup in the log's place. */
  restore(name: string): Promise<void> {
    return this.doing.during(texts.puttingTheBackupInPlace, async () => {
      await got(api.POST('/api/safety/backups/{name}/restore', { params: { path: { name } } }));
      this.looked = undefined;
    });
  }

  async restoreFile(file: File): Promise<void> {
    await this.doing.during(texts.checkingTheBackupYokebarStarts, () =>
      sendFile('/api/safety/restore', file),
    );
  }

  /** Reads contacts of a second copy, or any ADI file, into the log; those that are there stay one. */
  async readBack(file: File): Promise<string> {
    let notice = '';
    await this.doing.during(texts.readingTheContacts, async () => {
      const imported = await sendFile<ImportResult>('/api/imports', file);
      notice = texts.readWereMissingAndAre(imported.read, imported.added, imported.refused);
    });
    return notice;
  }
}
