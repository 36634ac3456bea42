<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { wordsFor } from '../../core/words';
import type { PartView } from '../blocks/part';
import Survey from '../blocks/survey/Survey.vue';
import { browserDrafts } from '../carriers/drafts';
import { asking, Refused, type FormOffer } from './asking';

/** A feedback form by its own link, without the course around it. */
const props = defineProps<{ link: string; form: string }>();
const server = asking(props.link);
const offer = shallowRef<FormOffer>();
const drafts = browserDrafts(() => `uplift/form/${props.link}`);
const keptName = drafts.load('name');
const name = ref(typeof keptName === 'string' ? keptName : '');
watch(name, (typed) => drafts.save('name', typed));
const trouble = ref('');
const words = computed(() => wordsFor(offer.value?.language ?? navigator.language).words);
const surveys = server.surveys(() => name.value);
/** Who has no place in the course is known by this browser alone: that they have sent it is kept here. */
const sentKey = `uplift/form/${props.form}/sent`;
const here = {
  get: () => {
    try {
      return localStorage.getItem(sentKey) !== null;
    } catch {
      return false;
    }
  },
  set: () => {
    try {
      localStorage.setItem(sentKey, '1');
    } catch {
      // Private windows may forbid it.
    }
  },
};
const view = computed<PartView>(() => ({
  words: words.value,
  language: offer.value?.language ?? 'en',
  media: () => '',
  embeds: [],
  drafts,
  surveys: {
    ...surveys,
    sent: () =>
      Promise.resolve({
        given: (offer.value?.given ?? false) || here.get(),
        ...(offer.value?.answers && { answers: offer.value.answers }),
      }),
  },
}));
const mayFill = computed(
  () => offer.value?.state === 'open' || (offer.value?.state === 'name' && (name.value.trim() !== '' || here.get())),
);
onMounted(async () => {
  try {
    offer.value = await server.form(props.form);
    document.title = offer.value.body.title;
    document.documentElement.lang = offer.value.language === 'und' ? 'en' : offer.value.language;
  } catch (error) {
    trouble.value = error instanceof Refused ? error.message : words.value.trouble;
  }
});
</script>

<template>
  <div class="up" :dir="offer?.direction">
    <p v-if="trouble" class="up-line" role="alert">{{ trouble }}</p>
    <div v-if="offer" class="up-body">
      <main class="up-main up-page">
        <p class="where">{{ offer.course }}</p>
        <template v-if="offer.state === 'closed'">
          <h1>{{ offer.body.title }}</h1>
          <p class="up-note">{{ words.survey.closed }}</p>
        </template>
        <template v-else-if="offer.state === 'sign-in'">
          <h1>{{ offer.body.title }}</h1>
          <a class="button" :href="`/sign-in?to=/learn/${link}/form/${form}`">{{ words.signIn }}</a>
        </template>
        <template v-else>
          <label v-if="offer.state === 'name'" class="up-field"
            >{{ words.yourName }}<input v-model="name" required maxlength="80" autocomplete="name" /><span
              class="quiet"
              >{{ words.survey.nameWhy }}</span
            ></label
          >
          <p v-else-if="offer.body.named && offer.name" class="quiet">{{ offer.name }}</p>
          <fieldset class="bare" :disabled="!mayFill">
            <Survey :id="form" whole :body="offer.body" :view="view" @sent="here.set()" />
          </fieldset>
        </template>
      </main>
    </div>
  </div>
</template>
