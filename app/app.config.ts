export default {
  ui: {
    colors: {
      primary: 'tarn',
      secondary: 'tarn',
      success: 'moss',
      info: 'tarn',
      warning: 'gorse',
      error: 'rowan',
      neutral: 'grit',
    },
    button: {
      slots: {
        // never smaller than a finger can hit
        base:
          'font-semibold whitespace-nowrap rounded-[0.35rem_0.45rem_0.3rem_0.42rem] cursor-pointer ' +
          'min-h-[24px]',
      },
      variants: { square: { true: 'min-w-[24px]' } },
      defaultVariants: { size: 'sm' },
    },
    input: { defaultVariants: { size: 'md' }, slots: { root: 'w-full' } },
    textarea: { defaultVariants: { size: 'md' }, slots: { root: 'w-full' } },
    select: { defaultVariants: { size: 'md' } },
    selectMenu: { defaultVariants: { size: 'md' } },
    // can be hit beside its box, too
    switch: { slots: { base: 'relative after:absolute after:-inset-[4px]' } },
    checkbox: {
      slots: { base: 'relative overflow-visible after:absolute after:-inset-[5px]', indicator: 'rounded-sm' },
    },
    radioGroup: {
      slots: {
        base: 'relative overflow-visible after:absolute after:-inset-[5px]',
        indicator: 'rounded-full',
      },
    },
    kbd: { base: 'text-xs!' },
    // no word is smaller than the least type
    calendar: { slots: { headCell: 'text-xs!' } },
    commandPalette: { slots: { label: 'text-xs!' } },
    modal: {
      slots: {
        content: 'divide-y-0 ring-(--ui-border-accented)',
        title: 'font-(family-name:--font-display) text-lg',
      },
    },
    toaster: { defaultVariants: { position: 'bottom-right' } },
    formField: { slots: { label: 'text-sm font-semibold', help: 'text-xs text-muted' } },
  },
}
