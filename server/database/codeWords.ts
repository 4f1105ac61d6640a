/** Short words without letters that are easily mixed up; a lesson's code is one of them and two digits. */
export const CODE_WORDS = [
  'FERN', 'MOSS', 'LEAF', 'TWIG', 'SEED', 'PETAL', 'ACORN', 'MAPLE', 'HEATH', 'CLOVER', 'DAISY', 'POPPY', 'THYME', 'MINT',
  'SAGE', 'BASIL', 'PEAR', 'PLUM', 'APPLE', 'OLIVE', 'LEMON', 'MELON', 'BEET', 'KALE', 'LEEK', 'OTTER', 'HERON', 'ROBIN',
  'WREN', 'FINCH', 'TERN', 'MOLE', 'HARE', 'STOAT', 'NEWT', 'TOAD', 'CARP', 'PIKE', 'TROUT', 'COMET', 'MOON', 'STAR',
  'CLOUD', 'RAIN', 'FROST', 'BREEZE', 'RIVER', 'LAKE', 'BROOK', 'DUNE', 'CLIFF', 'STONE', 'AMBER', 'CORAL', 'PEARL', 'SHELL',
] as const
