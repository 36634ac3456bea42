<script setup lang="ts">
import { useTimeoutPoll } from '@vueuse/core';
import { hostOf } from '~~/core/blocks/embed/form';
import { addressOf, api, type AnswerOf } from '~/client';
import type { ListColumn } from '~/components/list/column';
import { MODES, SERVICES, type ServiceLine } from '~/words/services';

type Letter = AnswerOf<'GET /api/outbox'>[number];

/** The services outside that this installation asks, and what their stand-ins did; for owners. */
const lines = ref<ServiceLine[] | null>(null);
const letters = ref<Letter[]>([]);
const open = ref<Letter | null>(null);
const { trouble, trying } = useTrying();
const COLUMNS: ListColumn<Letter>[] = [
  { key: 'subject', label: 'Letter', value: (row) => row.subject },
  { key: 'recipient', label: 'To', value: (row) => row.recipient },
  { key: 'made_at', label: 'Written', value: (row) => row.made_at, down: true },
  { key: 'state', label: 'State', value: (row) => (row.state === 'bounced' ? 'came back' : 'taken') },
];
async function look() {
  [lines.value, letters.value] = await Promise.all([api('GET /api/services'), api('GET /api/outbox')]);
}
onMounted(() => trying(look));
useTimeoutPoll(() => look().catch(() => undefined), 3000, { immediate: true });
const behave = (service: ServiceLine['name'], mode: ServiceLine['mode']) =>
  trying(async () => {
    await api('PUT /api/services', { body: { service, mode } }).finally(look);
  });
/** The sites whose pages may be shown within lessons, a line each; kept when it is left. */
const { hosts, known } = useEmbeds();
const sites = ref<string | null>(null);
const keepSites = () =>
  trying(async () => {
    if (sites.value === null) return;
    const lines = sites.value.split(/[\s,]+/).filter(Boolean);
    const answer = await api('PUT /api/embeds', {
      // An address stands for its host.
      body: { hosts: lines.map((line) => (hostOf(line) || line).toLowerCase()) },
    });
    known(answer.hosts);
    sites.value = null;
  });
const modes = (line: ServiceLine) => line.modes.map((mode) => ({ value: mode, label: MODES[mode] }));
const time = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
/** A letter's text with its addresses as links: each other piece is one. */
const pieces = (text: string) => text.split(/(https?:\/\/\S+)/);
</script>

<template>
  <ShellOpenPage v-model:trouble="trouble" title="Outside services" :width="860">
    <section v-for="line in lines ?? []" :key="line.name">
      <div class="name">
        <h2>{{ SERVICES[line.name].title }}</h2>
        <strong class="small" :class="line.standsIn ? 'decide' : 'quiet'">{{
          line.standsIn ? 'stand-in' : 'in use'
        }}</strong>
        <span class="small quiet mono">{{ line.where }}</span>
      </div>
      <p class="small">
        {{ SERVICES[line.name].what }} {{ line.standsIn ? SERVICES[line.name].standIn : SERVICES[line.name].real }}
      </p>
      <p v-if="line.standsIn" class="small behave">
        <span>The stand-in</span
        ><FieldSelect
          :model-value="line.mode"
          :items="modes(line)"
          class="w-60"
          :label="`How the stand-in for ${SERVICES[line.name].title} behaves`"
          @update:model-value="behave(line.name, $event)"
        />
      </p>
      <template v-if="line.name === 'mail' && line.standsIn">
        <p v-if="letters.length === 0" class="small quiet">No letter was written yet.</p>
        <ListTable v-else :rows="letters" :columns="COLUMNS" label="Letters">
          <template #subject="{ row }"
            ><button type="button" class="link" @click="open = row">{{ row.subject }}</button></template
          >
          <template #made_at="{ row }"
            ><span class="small quiet">{{ time(row.made_at) }}</span></template
          >
          <template #state="{ row }"
            ><span class="small" :class="{ decide: row.state === 'bounced' }">{{
              row.state === 'bounced' ? 'came back' : 'taken'
            }}</span></template
          >
        </ListTable>
      </template>
    </section>
    <section>
      <div class="name"><h2>Pages within lessons</h2></div>
      <p class="small">
        Authors can show a page of the web within a lesson. It is loaded when a learner asks for it, shut off from
        everything here, and only from the sites named below and what lies under them; of any other, learners get a
        link.
      </p>
      <UTextarea
        :model-value="sites ?? hosts.join('\n')"
        :rows="Math.max(3, hosts.length + 1)"
        placeholder="maps.example.org"
        aria-label="Sites whose pages may be shown, one a line"
        class="w-80"
        @update:model-value="sites = String($event)"
      />
      <p class="small keep">
        <UButton size="sm" :disabled="sites === null" @click="keepSites">Keep the list</UButton>
        <span class="quiet">Releases that are made already keep to the list they were made with.</span>
      </p>
    </section>
    <UModal
      :open="open !== null"
      :title="open?.subject ?? ''"
      :description="`To ${open?.recipient ?? ''}`"
      :ui="{ content: 'max-w-2xl' }"
      @update:open="open = null"
    >
      <template #body>
        <p class="letter">
          <template v-for="(piece, at) in pieces(open?.text ?? '')" :key="at"
            ><a v-if="at % 2" class="link" :href="piece">{{ piece }}</a
            ><template v-else>{{ piece }}</template></template
          >
        </p>
        <a v-if="open" class="link small" :href="addressOf('GET /api/outbox/:letter', { letter: open.id })" download
          >Save as .eml</a
        >
      </template>
    </UModal>
  </ShellOpenPage>
</template>

<style scoped>
section {
  margin-top: 26px;
}
.name {
  display: flex;
  align-items: baseline;
  gap: 10px;
  margin-bottom: 4px;
}
h2 {
  font-size: 17px;
}
.behave {
  display: flex;
  align-items: center;
  gap: 10px;
  margin: 8px 0 12px;
}
.keep {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 8px;
}
.letter {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  margin-bottom: 14px;
}
.mono {
  font-family: var(--font-mono);
}
</style>
