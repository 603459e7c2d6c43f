"""What the trade knows of cuts, cookers, racks and sides: tables with a source in every row."""
