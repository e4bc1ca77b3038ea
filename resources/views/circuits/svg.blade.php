{!! '<?xml version="1.0" encoding="UTF-8"?>' !!}
@include('elevation.svg', ['alone' => true])

