"""A cook under way: events folded into a sheet, forecast, alarms, and the simulated cooker."""
