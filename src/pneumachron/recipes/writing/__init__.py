"""Writers: JSON-LD, Markdown, plain text, and the shopping list."""
