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
    input: { slots: { base: 'rounded-[3px]' }, variants: { size: { sm: { base: 'md:text-[13px]' } } } },
    textarea: { slots: { base: 'rounded-[3px]' } },
    select: { slots: { base: 'rounded-[3px]', content: 'rounded-[3px]' } },
    inputNumber: { slots: { base: 'rounded-[3px]' }, variants: { size: { sm: 'md:text-[13px]' } } },
    checkbox: {
      slots: { base: 'rounded-[2px] ring-(--ink-3)', label: 'block text-[14.5px] font-normal text-(--ink)' },
    },
    tabs: {
      slots: { list: 'p-0 gap-1 h-full', trigger: 'font-normal text-(--ink-2) px-2', indicator: 'bg-(--moss)' },
      variants: { size: { sm: { trigger: 'text-[14px]' } }, variant: { link: { list: 'border-0' } } },
      compoundVariants: [
        {
          color: 'primary',
          variant: 'link',
          class: { trigger: 'data-[state=active]:text-(--ink) data-[state=active]:font-bold' },
        },
      ],
    },
    radioGroup: {
      slots: { fieldset: 'gap-y-1', base: 'ring-(--ink-3)', label: 'text-[14px] font-normal text-(--ink)' },
    },
    table: {
      slots: {
        root: 'overflow-visible',
        base: 'lines',
        caption: 'sr-only',
        thead: '[&>tr]:hover:bg-transparent',
        tbody: '[&>tr]:data-[selected=true]:bg-(--moss-faint) divide-y-0',
        th: 'px-2 py-1.5 text-[13px] font-semibold text-(--ink-2)',
        td: 'px-2 py-1.5 text-[14.5px] text-(--ink) whitespace-normal align-top',
        separator: 'bg-(--hair)',
        empty: 'py-4 text-left',
      },
    },
    modal: { slots: { overlay: 'bg-(--ink)/25', content: 'rounded-[4px] ring-(--hair)' } },
  },
});
