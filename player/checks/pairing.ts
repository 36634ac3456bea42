import { computed, ref, watch, type Ref } from 'vue';

/**
 * What belongs to what, while it is being chosen: `places` holds what is chosen so far, the response is there when
 * everything has its place.
 */
export function usePairing(response: Ref<Record<string, string> | undefined>, from: () => readonly { id: string }[]) {
  const places = ref<Record<string, string>>({ ...response.value });
  const isWhole = computed(() => from().every(({ id }) => places.value[id]));
  watch(response, (now) => {
    if (now) places.value = { ...now };
  });
  return {
    places,
    choose(id: string, place: string) {
      places.value = { ...places.value, [id]: place };
      response.value = isWhole.value ? places.value : undefined;
    },
  };
}
