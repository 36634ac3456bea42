<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import { serverCarrier } from '../carriers/server';
import type { Carrier } from '../carriers/carrier';
import Player from '../components/Player.vue';
import { say, wordsFor } from '../../core/words';
import { sayRules } from '../rules';
import { browserDrafts } from '../carriers/drafts';
import { asking, Refused, type Offer, type Taken } from './asking';

/** The door of a course: what it is, how it counts, and in; behind it the walk itself. */
const props = defineProps<{ link: string }>();
const server = asking(props.link);
const surveys = server.surveys();
const offer = shallowRef<Offer>();
const taken = shallowRef<Taken>();
const carrier = shallowRef<Carrier>();
const name = ref('');
const trouble = ref('');
const copied = ref(false);
/** A place in the course that an address leads to, until it is said whether it is one's own. */
const place = ref<{ key: string; name: string }>();
const words = computed(() => wordsFor(offer.value?.language ?? navigator.language).words);
const missing = computed(() => offer.value !== undefined && wordsFor(offer.value.language).missing);
const address = computed(() =>
  taken.value?.key ? `${window.location.origin}/learn/${props.link}#key=${taken.value.key}` : '',
);

async function trying(work: () => Promise<void>) {
  trouble.value = '';
  try {
    await work();
  } catch (error) {
    trouble.value = error instanceof Refused ? error.message : words.value.trouble;
  }
}
async function enter() {
  const course = await server.course();
  carrier.value = serverCarrier(`uplift/${course.learner}/${course.release}`, course.told, server.send);
  taken.value = course;
  document.title = course.course.title;
}
const begin = () =>
  trying(async () => {
    await server.begin(name.value.trim() || undefined);
    await enter();
  });
const copy = () =>
  trying(async () => {
    await navigator.clipboard.writeText(address.value);
    copied.value = true;
  });
onMounted(() =>
  trying(async () => {
    const key = /^#key=([\w-]+)$/.exec(window.location.hash)?.[1];
    if (key) {
      window.history.replaceState(null, '', window.location.pathname);
      const { name: whose, here } = await server.comeBack(key);
      if (!here) place.value = { key, name: whose || words.value.somebody };
    }
    await look();
  }),
);
async function look() {
  offer.value = await server.offer();
  document.title = offer.value.title;
  document.documentElement.lang = offer.value.language === 'und' ? 'en' : offer.value.language;
  if (offer.value.state === 'begun' && !place.value) await enter();
}
/** Takes the place an address leads to, or leaves it alone. */
const settle = (mine: boolean) =>
  trying(async () => {
    const { key } = place.value!;
    place.value = undefined;
    if (mine) await server.comeBack(key, true);
    await look();
  });
const leave = () =>
  trying(async () => {
    await server.leave();
    window.location.reload();
  });
</script>

<template>
  <Player
    v-if="taken && carrier"
    :course="taken.course"
    :rules="taken.rules"
    :carrier="carrier"
    :media="({ hash }) => `/api/learn/${link}/media/${hash}`"
    :drafts="browserDrafts(() => `uplift/${taken!.learner}/${taken!.release}`)"
    :files="server.files"
    :surveys="surveys"
  >
    <template #end>
      <footer v-if="address" class="up-body">
        <details class="up-main">
          <summary>{{ words.elsewhere }}</summary>
          <p class="quiet">{{ words.elsewhereWhy }}</p>
          <p>
            <code>{{ address }}</code>
          </p>
          <p>
            <button type="button" @click="copy">{{ copied ? words.copied : words.elsewhere }}</button>
          </p>
          <p class="quiet">{{ words.leaveWhy }}</p>
          <p>
            <button type="button" @click="leave">{{ words.leave }}</button>
          </p>
        </details>
      </footer>
    </template>
  </Player>
  <div v-else class="up" :dir="offer?.direction">
    <p v-if="trouble" class="up-line" role="alert">{{ trouble }}</p>
    <div v-if="offer" class="up-body">
      <main class="up-main">
        <h1>{{ offer.title }}</h1>
        <p v-if="offer.promise">{{ offer.promise }}</p>
        <dl class="up-facts">
          <dt>{{ words.size }}</dt>
          <dd>
            {{
              [
                say(words.minutes, { minutes: Math.round(offer.minutes) }),
                say(words.lessonsOf, { of: offer.lessons }),
                ...(offer.checks ? [say(words.checksIn, { of: offer.checks })] : []),
              ].join(', ')
            }}
          </dd>
          <dt>{{ words.rules }}</dt>
          <dd>
            <template v-for="line in sayRules(words, offer.rules)" :key="line">{{ line }}<br /></template>
          </dd>
        </dl>
        <p v-if="missing" class="quiet" lang="en">
          The course is in a language that this page has no words of its own in; its buttons are in English.
        </p>
        <div v-if="place" class="up-note">
          <p>{{ say(words.placeOf, { name: place.name }) }}</p>
          <p class="choice">
            <button type="button" class="first" @click="settle(true)">
              {{ say(words.goOnAs, { name: place.name }) }}
            </button>
            <button type="button" @click="settle(false)">{{ words.notMe }}</button>
          </p>
        </div>
        <p v-else-if="offer.state === 'withdrawn'" class="up-note">{{ words.withdrawn }}</p>
        <p v-else-if="offer.state === 'closed'" class="up-note">{{ words.closed }}</p>
        <a v-else-if="offer.state === 'sign-in'" class="button" :href="`/sign-in?to=/learn/${link}`">{{
          words.signIn
        }}</a>
        <form v-else @submit.prevent="begin">
          <label v-if="offer.state === 'name'" class="up-field"
            >{{ words.yourName }}<input v-model="name" required maxlength="80" autocomplete="name" /><span
              class="quiet"
              >{{ words.nameWhy }}</span
            ></label
          >
          <button type="submit" class="first">{{ words.begin }}</button><span v-if="offer.person" class="quiet">
            {{ offer.person }}</span
          >
        </form>
      </main>
    </div>
  </div>
</template>
