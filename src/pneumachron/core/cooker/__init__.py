"""A pressure cooker with meat in it: heat balance, come-up, cook time, release."""
