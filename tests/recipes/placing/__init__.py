"""Where the foods of open texts go: labels, and how the weights of the second reading are made."""
