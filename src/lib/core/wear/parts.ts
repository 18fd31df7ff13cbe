/** Parts of the torch that come and go. */

/** Put in one by one; the electrode is what a pair is named by. */
export const PART_KINDS = ['nozzle', 'ring', 'cap', 'shield', 'o-ring', 'gouge-nozzle'] as const;
export type PartKind = (typeof PART_KINDS)[number];

/** Why a part came out; `partner`: because the other of the pair did. Only `worn` ends a life. */
export const WHYS = ['worn', 'blown', 'cracked', 'lost', 'partner'] as const;
export type Why = (typeof WHYS)[number];
