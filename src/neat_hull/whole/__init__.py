"""All subjects together: the registry, the live answer, judging, comparing, advice, arranging."""
