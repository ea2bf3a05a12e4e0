<x-refused :says="$errors->all()" />
