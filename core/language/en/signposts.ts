const SIGNPOSTS = [
  /^the (?:first|second|third|fourth|fifth|last|next|final|other|main) (?:thing|point|topic|part|subject|question|step)(?: (?:that )?(?:I|we) (?:want|would like|need|have) to (?:talk about|mention|cover|say something about|look at))? (?:is|concerns|will be) (?:about )?(?<topic>[^,;:]{3,60})[.]$/i,
  /^(?:let me|let us|let's|I want to|I would like to|I will|we will|now|next)(?:,| now| next| then)? (?:say (?:something|a word)|talk|speak|move on|turn|come|look|go on) (?:about|to|at) (?<topic>[^,;:]{3,60})[.]$/i,
  /^(?:now|next|so),? (?:about|on to|for) (?<topic>[^,;:]{3,60})[.]$/i,
  /^(?<topic>\p{Lu}[\p{L} -]{2,30}) deserves? a (?:word|mention)[.]$/iu,
];

/** The topic that a speaker announces ("The third thing is returns."); undefined when a sentence announces none. */
export function signpost(sentence: string): string | undefined {
  for (const pattern of SIGNPOSTS) {
    const topic = pattern.exec(sentence)?.groups?.topic;
    if (topic && !/\b(?:this|that|these|those|it|you|them|what|why|how)\b/i.test(topic)) return topic.trim();
  }
  return undefined;
}
