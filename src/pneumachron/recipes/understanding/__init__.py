"""Understanding: amounts, ingredients, the meat, the method, the texture; what is left is asked."""
