<script lang="ts">
  import { TextArea } from 'carbon-components-svelte';
  import type { ReceivedPicture } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { PictureStore } from './pictures.svelte';
  import { texts } from './texts';

  interface Props {
    picture: ReceivedPicture;
    /** Whether the note is being written. */
    noting: boolean;
    /** The keyboard goes back to the list. */
    onback: () => void;
  }

  let { picture, noting = $bindable(), onback }: Props = $props();

  const store = useStore(PictureStore);

  /** What was typed and is not saved yet, and for which picture: another one may take its place meanwhile. */
  let draft = $state<{ id: number; note: string }>();
  const note = $derived(draft?.id === picture.id ? draft.note : picture.note);
  let field = $state<HTMLTextAreaElement | null>(null);

  $effect(() => {
    if (noting) field?.focus();
  });

  $effect(() => {
    if (draft && draft.id !== picture.id) void saveNote();
  });

  async function saveNote() {
    noting = false;
    const saving = draft;
    if (saving && (await store.note(saving.id, saving.note)) && draft === saving) draft = undefined;
  }

  function onnotekey(event: KeyboardEvent) {
    event.stopPropagation();
    const cancels = event.key === 'Escape';
    if (!cancels && (event.key !== 'Enter' || event.shiftKey)) return;
    event.preventDefault();
    if (cancels) draft = undefined;
    // What was typed is saved as the field is left.
    field?.blur();
    onback();
  }
</script>

<TextArea
  labelText={texts.note}
  rows={2}
  maxlength={500}
  value={note}
  on:input={(event) => (draft = { id: picture.id, note: (event.target as HTMLTextAreaElement).value })}
  bind:ref={field}
  on:blur={saveNote}
  on:keydown={onnotekey}
/>
