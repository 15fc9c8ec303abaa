import { api, got, sendFile, type ReferenceView } from '../../platform/api/client';
import { Doing } from '../../platform/shared/doing.svelte';
import { Saving } from '../../platform/shared/saving.svelte';
import { texts } from './texts';

/** The lists of entities and of stations, and where newer ones come from. */
export class ReferenceStore {
  view = $state.raw<ReferenceView | undefined>(undefined);
  readonly doing = new Doing();
  readonly saving = new Saving();

  load(): Promise<void> {
    return this.doing.during('', async () => {
      this.view = await got(api.GET('/api/reference'));
    });
  }

  save(field: string, body: { address?: string; daily?: boolean }): Promise<boolean> {
    return this.saving.during(field, async () => {
      this.view = await got(api.PUT('/api/reference', { body }));
    });
  }

  look(): Promise<void> {
    return this.doing.during(texts.askingThePublisher, async () => {
      this.view = await got(api.POST('/api/reference/look'));
    });
  }

  takeList(list: string, file: File): Promise<void> {
    return this.doing.during(texts.readingTheFile, async () => {
      this.view = await sendFile<ReferenceView>(`/api/reference/station-lists/${list}`, file);
      this.doing.notice = texts.listTaken(file.name);
    });
  }

  dropList(list: string): Promise<void> {
    return this.doing.during(texts.droppingTheList, async () => {
      this.view = await got(
        api.DELETE('/api/reference/station-lists/{list}', { params: { path: { list } } }),
      );
    });
  }
}
