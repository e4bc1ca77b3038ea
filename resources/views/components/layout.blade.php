@props(['title', 'wide' => false, 'about' => ''])
@include('layouts.app', ['title' => $title, 'wide' => $wide, 'about' => (string) $about, 'slot' => $slot])
