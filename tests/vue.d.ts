/** Components, as tests that are checked without Vue's own checker see them. */
declare module '*.vue' {
  import type { Component } from 'vue';
  const component: Component;
  export default component;
}
