<!doctype html><html lang="en"><head><title>Bare</title></head><body><p>{{ $vehicle->name }}</p></body></html>
