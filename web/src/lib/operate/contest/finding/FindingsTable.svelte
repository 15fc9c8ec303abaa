<script lang="ts" module>
  /** Something that is wrong, or may be, with a contact of a contest. */
  export interface ContactFinding {
    /** Of the log that was handed in, from 1; not there for one of the book itself. */
    line?: number;
    /** Not there when the line is of no contact, or the contact is gone. */
    contactId?: number;
    start?: string;
    call: string;
    band: string;
    sentence: string;
    points: number;
    /** The call that should stand there. */
    rightCall?: string;
  }
</script>

<script lang="ts">
  import { api, got } from '../../../platform/api/client';
  import { ChangeStore } from '../../../log/change/changes.svelte';
  import { Navigation } from '../../../platform/page/navigation.svelte';
  import { useStore } from '../../../platform/page/stores';
  import { grouped, utcDate, utcMinute } from '../../../platform/shared/format';
  import { texts } from './texts';

  interface Props {
    label: string;
    findings: ContactFinding[];
    /** Above the sentences. */
    what: string;
    /** Above the points; without it they are not shown. */
    points?: string;
  }

  let { label, findings, what, points }: Props = $props();

  const navigation = useStore(Navigation);
  const changes = useStore(ChangeStore);
  const withLines = $derived(findings.some((one) => one.line !== undefined));

  function correct(contactId: number, call: string): Promise<void> {
    const body = { selection: { ids: [contactId] }, changes: { CALL: call } };
    return changes.begin(got(api.POST('/api/changes/edit', { body })));
  }
</script>

<table class="list" aria-label={label}>
  <thead>
    <tr>
      {#if withLines}<th class="number">{texts.line}</th>{/if}
      <th>{texts.time}</th>
      <th>{texts.call}</th>
      <th>{texts.band}</th>
      <th>{what}</th>
      {#if points}<th class="number">{points}</th>{/if}
      <th></th>
    </tr>
  </thead>
  <tbody>
    {#each findings as one, i (i)}
      {@const { contactId, rightCall } = one}
      <tr>
        {#if withLines}<td class="number mono">{one.line ?? ''}</td>{/if}
        <td class="mono">
          {#if one.start}{utcMinute(one.start)} <span class="muted">{utcDate(one.start)}</span>{/if}
        </td>
        <td>
          {#if contactId !== undefined}
            <button class="more mono" onclick={() => navigation.showContact(contactId)}>{one.call}</button>
          {/if}
        </td>
        <td>{one.band}</td>
        <td>{one.sentence}</td>
        {#if points}<td class="number mono">{grouped(one.points)}</td>{/if}
        <td>
          {#if rightCall && contactId !== undefined}
            <button class="more" onclick={() => void correct(contactId, rightCall)}
              >{texts.changeTo(rightCall)}</button
            >
          {/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>

<style>
  td {
    height: 28px;
  }

  .number {
    text-align: right;
  }
</style>
