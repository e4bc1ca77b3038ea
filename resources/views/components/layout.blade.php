@props(['title', 'wide' => false])
@include('layouts.app', ['title' => $title, 'wide' => $wide, 'slot' => $slot])
