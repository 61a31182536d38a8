const WITHIN = /(?<=\d) (?=(?:h|min|days?|kg|g|mm|cm|ml|°C|°F|lb|oz|in)(?![a-z]))|(?<=\d (?:h|lb)) (?=\d)/g

/** A sentence whose figures keep their units beside them, wherever its lines break: "4 h 30", "2.6 kg". */
export const unbroken = (text: string): string => text.replace(WITHIN, '\u00a0')
