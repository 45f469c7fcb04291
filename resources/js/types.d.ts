declare module '@alpinejs/morph' {
  const plugin: (alpine: unknown) => void;
  export default plugin;
}
