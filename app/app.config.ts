export default defineAppConfig({
  ui: {
    colors: { primary: 'moss', neutral: 'paper' },
    button: {
      slots: { base: 'rounded-[3px] font-semibold cursor-pointer' },
      variants: {
        size: { sm: { base: 'px-2.5 py-1 text-[13px] gap-1.5' }, md: { base: 'px-3 py-[5px] text-[13.5px] gap-1.5' } },
      },
      compoundVariants: [
        { color: 'primary', variant: 'solid', class: 'text-(--on-moss) bg-(--moss) hover:bg-(--moss)/90' },
        { color: 'neutral', variant: 'outline', class: 'ring-(--hair) bg-(--sheet) hover:bg-(--shade) text-(--ink)' },
      ],
      defaultVariants: { size: 'md' },
    },
    input: { slots: { base: 'rounded-[3px]' } },
    textarea: { slots: { base: 'rounded-[3px]' } },
    modal: { slots: { overlay: 'bg-(--ink)/25', content: 'rounded-[4px] ring-(--hair)' } },
  },
});
