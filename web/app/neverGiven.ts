/**
 * Classes of the component library that no screen gives a component: looks, colours and parts that nothing asks for. The build
 * leaves their rules out, and the browser tests see to it that no screen has one.
 */
export const NEVER_GIVEN =
  /-(?:rtl|filled|underlined|customize-input|group-addon|group-compact|input-search|vertical-item)(?![a-z])|-color-(?:blue|purple|cyan|green|magenta|pink|red|orange|yellow|volcano|geekblue|lime|gold)(?![a-z])/;
