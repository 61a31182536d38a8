"""The answer to a draft, put together; cautions, stops and sentences."""
