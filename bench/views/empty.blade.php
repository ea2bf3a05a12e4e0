<!DOCTYPE html>
<html lang="en"><head><meta charset="utf-8"><title>Empty</title></head><body><p>{{ $word }}</p></body></html>
